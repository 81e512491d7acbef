package app.velvetcrock.batch;

import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What some lines of a log keep besides what the core asks of them: the lots they touched and the dates they changed. */
final class LogValue {

    private LogValue() {}

    /** What was left after settling, of which lot, and the date it had before. */
    record Settled(Volume left, Mass mass, Volume water, UUID lot, LocalDate useByBefore, LocalDate useBy) {}

    /** A sniff test of a lot, with the date before and after. */
    record Sniffed(UUID lot, boolean passed, LocalDate useByBefore, LocalDate useBy, String why) {}

    /** Something thrown out; {@code lot} is null for a whole charge that still stood. */
    record Discarded(Ruin ruin, String lesson, @Nullable UUID lot) {}

    /** Bottles filled from a lot. */
    record Bottled(UUID from, int count, Volume size, String words) {}
}
