package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;

/**
 * One stretch of a method, its lengths counted in its pace.
 *
 * @param least shortest that is sensible
 * @param usual shipped default
 * @param most longest that is sensible
 * @param vented true under cloth or with a loose lid, so that water can leave
 * @param attended true where somebody stays beside it throughout
 * @param ceiling what heat must not pass; absent where nothing is heated
 */
public record Stage(
        String key, String name, Pace pace, int least, int usual, int most, Band band, Optional<Temperature> ceiling, boolean inLight,
        boolean vented, boolean attended, List<Tending> tendings) {

    public Stage {
        Check.range("usual length", usual, least, most, pace.many());
        tendings = List.copyOf(tendings);
    }

    public boolean isHeated() {
        return ceiling.isPresent();
    }

    public Optional<Tending> tending(Tending.Kind kind) {
        return tendings.stream().filter(tending -> tending.kind() == kind).findFirst();
    }
}
