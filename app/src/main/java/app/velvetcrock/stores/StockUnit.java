package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Decimals;

/** The one unit a lot is counted in. */
enum StockUnit {
    MILLIGRAM {
        @Override
        String words(long amount) {
            return Decimals.upTo(amount / PER_THOUSAND, 1) + " g";
        }
    },
    MICROLITRE {
        @Override
        String words(long amount) {
            return Decimals.upTo(amount / PER_THOUSAND, 1) + " mL";
        }
    },
    PIECE {
        @Override
        String words(long amount) {
            return String.valueOf(amount);
        }
    };

    private static final double PER_THOUSAND = 1000;

    abstract String words(long amount);
}
