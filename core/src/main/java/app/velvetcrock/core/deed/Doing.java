package app.velvetcrock.core.deed;

import java.time.Instant;
import java.util.UUID;

/**
 * A deed, to a batch or at the stores, with what came along with it.
 *
 * @param key sent once, so that a repeat is known for one
 * @param at when it was done, which may be earlier than when it is said
 * @param by account of whoever did it
 * @param typed as it was typed; empty where nothing was
 */
public record Doing<D>(UUID key, Instant at, UUID by, String typed, D deed) {}
