package app.velvetcrock.batch;

import app.velvetcrock.core.planning.BatchPlan;
import java.util.UUID;

/** A plan as it is kept with a batch, with the lots it was made from. */
public record FrozenPlan(BatchPlan plan, UUID herbLot, UUID carrierLot) {}
