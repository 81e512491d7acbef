package app.velvetcrock.stall;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;

/** Where the page of a lot is. */
final class Places {

    private Places() {}

    static String of(Stock.OfLot lot) {
        return of(lot.kind()) + lot.id();
    }

    static String of(LotKind kind) {
        return switch (kind) {
            case INFUSED_OIL -> "/cupboard/";
            case MADE -> "/cupboard/goods/";
            default -> "/stores/lots/";
        };
    }
}
