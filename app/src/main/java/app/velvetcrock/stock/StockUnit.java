package app.velvetcrock.stock;

import app.velvetcrock.core.measure.Decimals;

/** The one unit a lot is counted in. */
public enum StockUnit {
    MILLIGRAM {
        @Override
        public String words(long amount) {
            return Decimals.upTo(amount / PER_THOUSAND, 1) + " g";
        }
    },
    MICROLITRE {
        @Override
        public String words(long amount) {
            return Decimals.upTo(amount / PER_THOUSAND, 1) + " mL";
        }
    },
    PIECE {
        @Override
        public String words(long amount) {
            return String.valueOf(amount);
        }
    };

    private static final double PER_THOUSAND = 1000;

    public abstract String words(long amount);
}
