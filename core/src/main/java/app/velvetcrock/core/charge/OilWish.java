package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;

/** How somebody says how much oil: not at all, as a ratio, or as an amount. */
public sealed interface OilWish {

    /** The oil this comes to for a charge; {@code charge.oil()} is not looked at. */
    Volume oilFor(Charge charge);

    /** Tells whether a charge gets less than is usual, since only what covers its herb fits its vessel. */
    default boolean isReduced(Charge charge) {
        return false;
    }

    /** The same wish for a part of the herb: an amount is divided, a rule stays what it is. */
    default OilWish times(double share) {
        return this;
    }

    /**
     * Nothing said: the larger of the usual and what covers the herb pushed under; only what covers it where the usual does not fit its
     * vessel and that does. Rounded up to 5 mL, since both are estimates.
     */
    record ToCover() implements OilWish {

        private static final double STEP = 5;

        @Override
        public Volume oilFor(Charge charge) {
            return isReduced(charge) ? covering(charge) : usual(charge);
        }

        @Override
        public boolean isReduced(Charge charge) {
            Volume covering = covering(charge);
            return covering.compareTo(usual(charge)) < 0
                    && !charge.withOil(usual(charge)).fits()
                    && charge.withOil(covering).fits();
        }

        /** What is poured where there is room. */
        public Volume usual(Charge charge) {
            return stepped(charge.pressedNeed().atLeast(charge.herbs().usualOil()));
        }

        private Volume covering(Charge charge) {
            return stepped(charge.pressedNeed());
        }

        private Volume stepped(Volume least) {
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

    /** One part of loose herb by volume to {@code parts} of oil. */
    record ByCups(double parts) implements OilWish {

        public ByCups {
            Check.range("parts of oil", parts, 0.1, 50, "to one of herb by volume");
        }

        @Override
        public Volume oilFor(Charge charge) {
            return Schools.oilByCups(charge.herbs(), parts);
        }
    }

    /** As much as fills the vessel to its headspace over the herb. */
    record ToFill() implements OilWish {

        @Override
        public Volume oilFor(Charge charge) {
            return Schools.oilToFill(charge.herbs(), charge.vessel(), charge.headspace());
        }
    }

    /** So deep above the herb lying loose, swollen as it will be. */
    record Above(Length depth) implements OilWish {

        public Above {
            Check.range("oil above the herb", depth.millimetres(), 1, 500, "mm");
        }

        @Override
        public Volume oilFor(Charge charge) {
            return charge.herbs()
                    .swollenLoose()
                    .plus(charge.vessel().volumeOf(depth))
                    .minusToZero(charge.herbs().displacement());
        }
    }

    /** Just this much. */
    record Exactly(Volume oil) implements OilWish {

        @Override
        public OilWish times(double share) {
            return new Exactly(oil.times(share));
        }

        @Override
        public Volume oilFor(Charge charge) {
            return oil;
        }
    }
}
