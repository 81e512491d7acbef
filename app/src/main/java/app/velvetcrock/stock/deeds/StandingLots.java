package app.velvetcrock.stock.deeds;

import app.velvetcrock.core.deed.MayAtStores;
import java.util.List;
import java.util.UUID;

/** Knows the lots; locks them in one order, so that two who move the same ones wait for each other. */
public interface StandingLots {

    /** The lots as they stand, locked, in the order asked. */
    List<MayAtStores.Standing> locked(List<UUID> lots);
}
