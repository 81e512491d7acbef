package app.velvetcrock.core.course;

import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Lines of a log with what a test does not ask about filled in. */
public final class Lines {

    private static final UUID LOT = new UUID(7, 7);
    private static final LocalDate DAY = LocalDate.of(2027, 6, 1);

    private Lines() {}

    public static Line charged(Volume oil) {
        return new Line.Charged(Mass.ofGrams(40), oil, List.of());
    }

    public static Line charged() {
        return charged(Volume.ofMillilitres(275));
    }

    public static Line strained(double millilitres, boolean settles) {
        Seen seen = new Seen(settles ? Clarity.CLOUDY : Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, "");
        return new Line.Strained(
                Volume.ofMillilitres(millilitres),
                Mass.ofGrams(millilitres),
                Pressing.HAND,
                new KeepUntil(
                        DAY, KeepUntil.LimitedBy.CAP, Working.of("as tested").build()),
                LOT,
                true,
                seen);
    }

    public static Line settled(double millilitres, double water) {
        return new Line.Settled(
                Volume.ofMillilitres(millilitres),
                Mass.ofGrams(millilitres),
                Volume.ofMillilitres(water),
                LOT,
                DAY,
                DAY);
    }

    public static Line passed() {
        return new Line.Sniffed(LOT, true, DAY, DAY, "");
    }

    public static Line discarded(Ruin ruin, String lesson) {
        return new Line.Discarded(ruin, lesson, Optional.empty());
    }
}
