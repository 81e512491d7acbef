package app.velvetcrock.wish;

import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.melt.Wished;
import app.velvetcrock.sentence.WishForm;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Tells the Bench and the Pan what the wish they are halves of comes to. */
@Component
class WishOil implements Wished {

    private final WishWork work;

    WishOil(WishWork work) {
        this.work = work;
    }

    private Optional<WishAnswer> able(WishForm wish) {
        return work.of(wish).answer().filter(WishAnswer::canBegin);
    }

    @Override
    public Optional<Coming> coming(WishForm wish) {
        return able(wish)
                .flatMap(answer -> answer.pan().map(mix -> new Coming(mix.read().oil(), answer.infused())));
    }

    @Override
    public Optional<Awaited.Wish> awaited(WishForm wish) {
        return able(wish).flatMap(WishAnswer::pan).map(WishBegin::awaited);
    }
}
