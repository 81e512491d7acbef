package app.velvetcrock.stock;

import app.velvetcrock.core.larder.Origin;
import org.jspecify.annotations.Nullable;

/**
 * Where something came from, where it is kept and what it cost.
 *
 * @param cameFrom the place or the seller in words; empty when not said
 * @param keptAt the shelf or box in words; empty when not said
 * @param priceMinor in minor units of the household's currency; null when not said
 */
public record Provenance(Origin origin, String cameFrom, String keptAt, @Nullable Long priceMinor) {

    public static final Provenance UNSAID = new Provenance(Origin.BOUGHT, "", "", null);
}
