package app.velvetcrock.core.bench;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Carriers;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What is poured: one oil, or a mix; each from its bottle. */
public record Pour(List<Bottled> bottles, Carriers carriers, LocalDate on) {

    public Density density() {
        return carriers.together(on).kind().density();
    }

    public List<UUID> lots() {
        return bottles.stream().map(Bottled::id).toList();
    }

    /** The most of it the bottles give, by the one that gives out first. */
    public Volume most() {
        double most = Double.MAX_VALUE;
        for (int i = 0; i < bottles.size(); i++) {
            Bottled bottle = bottles.get(i);
            most = Math.min(
                    most,
                    bottle.density().volumeOf(bottle.left()).millilitres()
                            / carriers.parts().get(i).share());
        }
        return Volume.ofMillilitres(most);
    }
}
