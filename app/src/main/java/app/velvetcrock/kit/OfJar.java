package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Vessel;
import java.util.UUID;

/**
 * A size of jar, or a pot of the kit.
 *
 * @param kit true for a pot or an insert, whose id is the kit's
 */
public record OfJar(UUID id, Vessel vessel, int pieces, boolean kit) {}
