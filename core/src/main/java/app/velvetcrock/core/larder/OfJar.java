package app.velvetcrock.core.larder;

import app.velvetcrock.core.charge.Vessel;
import java.util.UUID;

/**
 * A size of jar, or a pot of the kit.
 *
 * @param glass what is known of a jar besides its size
 * @param kit true for a pot or an insert, whose id is the kit's
 */
public record OfJar(UUID id, Vessel vessel, int pieces, boolean kit, JarGlass glass) {

    /** The same with so many of it. */
    public OfJar times(int other) {
        return new OfJar(id, vessel, other, kit, glass);
    }
}
