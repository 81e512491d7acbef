package app.velvetcrock.core.larder;

import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import java.util.Optional;
import java.util.UUID;

/**
 * The batch an infused oil came from, as far as it matters to what is made of the oil.
 *
 * @param bearsSpirit it was moistened with spirit that nobody has said to be gone
 * @param finish how it really came to its end; absent while it is not strained
 * @param hadWater water lay under the oil, at straining or after settling
 * @param byHand it was charged by the handful
 */
public record Infused(
        UUID batch,
        PlanRequest request,
        boolean bearsSpirit,
        Optional<Finish> finish,
        boolean hadWater,
        boolean byHand) {}
