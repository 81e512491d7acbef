package app.velvetcrock.melt;

import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.sentence.WishForm;
import java.util.Optional;

/** What a wish that is not charged yet comes to, for the two places that are its halves. */
public interface Wished {

    /** The oil that will come of it, as it is planned. */
    record Coming(PanThing oil, Infused infused) {}

    /** The oil of a wish; absent where the wish is not clear, or where nothing is made of its oil. */
    Optional<Coming> coming(WishForm wish);

    /** What will wait for its oil once it is charged. */
    Optional<Awaited.Wish> awaited(WishForm wish);
}
