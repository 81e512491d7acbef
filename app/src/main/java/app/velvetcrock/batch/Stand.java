package app.velvetcrock.batch;

import java.util.UUID;

/** What a batch stands in: a jar, or a pot of the kit. */
public record Stand(UUID id, boolean kit) {}
