package app.velvetcrock.core.larder;

import app.velvetcrock.core.method.Method;
import java.util.UUID;

/** A way of the household's own. */
public record OfWay(UUID id, Method method) {}
