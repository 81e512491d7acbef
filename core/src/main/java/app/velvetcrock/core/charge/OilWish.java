package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Volume;

/** How somebody says how much oil: not at all, as a ratio, or as an amount. */
public sealed interface OilWish {

    /** The oil this comes to for a charge; {@code charge.oil()} is not looked at. */
    Volume oilFor(Charge charge);

    /**
     * Nothing said: the larger of the usual and what covers the herb pushed under, rounded up to 5 mL since both are
     * estimates.
     */
    record ToCover() implements OilWish {

        private static final double STEP = 5;

        @Override
        public Volume oilFor(Charge charge) {
            Volume least = charge.pressedNeed().atLeast(charge.herbs().usualOil());
            return Volume.ofMillilitres(Math.ceil(least.millilitres() / STEP - 1e-9) * STEP);
        }
    }

    /** One gram to {@code ratio} millilitres. */
    record ByRatio(double ratio) implements OilWish {

        public ByRatio {
            Check.range("ratio", ratio, 0.5, 100, "mL to a gram");
        }

        @Override
        public Volume oilFor(Charge charge) {
            return Schools.oilByWeight(charge.herbs(), ratio);
        }
    }

    /** Just this much. */
    record Exactly(Volume oil) implements OilWish {

        @Override
        public Volume oilFor(Charge charge) {
            return oil;
        }
    }
}
