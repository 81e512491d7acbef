package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.Notes;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.bench.Timing;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.wish.WishAnswer.Other;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Other ways of reaching a wish that differ in something that matters: later and with less to do, or with less oil. */
final class Otherwise {

    private static final int MOST = 2;

    /** [E] So much less oil is worth cutting a herb for. */
    private static final double WORTH_CUTTING = 0.9;

    private final WishPlanner planner;
    private final Materia materia;

    Otherwise(WishPlanner planner, Materia materia) {
        this.planner = planner;
        this.materia = materia;
    }

    List<Other> of(ToHand hand, Planned chosen) {
        List<Other> others = new ArrayList<>();
        Wording say = hand.kitchen().place().say();
        if (hand.wish().by().isPresent()) {
            ToHand unhurried = hand.with(hand.wish().withoutHurry());
            planner.planned(unhurried, new Unheard())
                    .filter(plan -> !plan.plan()
                            .request()
                            .circumstances()
                            .method()
                            .equals(chosen.plan().request().circumstances().method()))
                    .ifPresent(plan -> ready(plan)
                            .ifPresent(at -> others.add(new Other(
                                    plan.plan()
                                            .request()
                                            .circumstances()
                                            .method()
                                            .name(),
                                    "ready " + say.day(say.dayOf(at)),
                                    "needed",
                                    ""))));
        }
        planner.finer(hand.wish())
                .flatMap(finer -> planner.planned(hand.with(finer), new Unheard()))
                .filter(plan -> plan.plan().isAllowed()
                        && plan.oilInAll().millilitres()
                                < WORTH_CUTTING * chosen.oilInAll().millilitres())
                .ifPresent(plan -> others.add(new Other(
                        "cut and sifted", said(say, plan.oilInAll()) + " of oil would do", "cut", "CUT_AND_SIFTED")));
        return others.subList(0, Math.min(MOST, others.size()));
    }

    private static String said(Wording say, Volume volume) {
        return say.volume(volume);
    }

    private static Optional<Instant> ready(Planned plan) {
        return plan.timing().flatMap(Timing::timetable).map(placed -> placed.end());
    }

    /** How a charge was understood is said nowhere; what is wrong with it is passed on, where anybody is told. */
    static final class Unheard implements Notes {

        private final Optional<Notes> told;
        private boolean clear = true;

        Unheard() {
            this.told = Optional.empty();
        }

        Unheard(Notes told) {
            this.told = Optional.of(told);
        }

        @Override
        public void trouble(String field, String wrong, String instead) {
            clear = false;
            told.ifPresent(notes -> notes.trouble(field, wrong, instead));
        }

        @Override
        public void echo(String field, String words) {
            // Nobody reads it.
        }

        @Override
        public boolean isClear() {
            return clear;
        }
    }
}
