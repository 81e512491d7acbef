package app.velvetcrock.stores;

import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.web.Fields;
import java.util.Currency;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where something came from and what it cost, as typed; all of it may be left out. */
record ProvenanceForm(
        @Nullable String origin, @Nullable String cameFrom, @Nullable String keptAt, @Nullable String price) {

    private static final int LONGEST_FROM = 120;
    static final int LONGEST_PLACE = 80;

    Optional<Provenance> read(Fields fields, Currency money) {
        Optional<Origin> came = origin == null || origin.isBlank()
                ? Optional.of(Origin.BOUGHT)
                : fields.oneOf("origin", Origin.class, origin);
        Optional<String> from = fields.optionalWords("cameFrom", cameFrom, LONGEST_FROM);
        Optional<String> kept = fields.optionalWords("keptAt", keptAt, LONGEST_PLACE);
        boolean priced = price != null && !price.isBlank();
        Optional<Long> cost = priced ? fields.money("price", price, money) : Optional.empty();
        boolean clear = came.isPresent() && from.isPresent() && kept.isPresent() && priced == cost.isPresent();
        return clear
                ? Optional.of(new Provenance(came.get(), from.get(), kept.get(), cost.orElse(null)))
                : Optional.empty();
    }
}
