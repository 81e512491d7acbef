package app.velvetcrock.condition;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;

/** What those of some batches are called that stand, or are in the pan. */
public interface StandingNames {

    Map<UUID, String> called(Collection<UUID> batches);
}
