package app.velvetcrock.batch;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the household's own makings show: what felt right for a kind, how its melts cool. */
@Component
public class OwnRights {

    private static final int PAST = 8;

    private final Makings makings;

    OwnRights(Makings makings) {
        this.makings = makings;
    }

    /** One of the household's makings of this kind, on the scale. */
    public record Past(int number, double firmness, String felt, LocalDate on) {}

    /** What felt right for a kind, and the makings it was learned from, the newest first. */
    public record Learned(Optional<OwnRight> right, List<Past> past) {}

    /** How many times as slowly the household's melts cool at a place than their mass foretells, from the newest that were read. */
    public Optional<Double> cooling(Cooling.Where where) {
        List<Double> factors = new ArrayList<>();
        for (Makings.Sheet sheet : makings.latest()) {
            MakingCourse.cooled(sheet.plan(), sheet.holding())
                    .filter(cooled -> cooled.where() == where)
                    .ifPresent(cooled -> factors.add(0, cooled.factor()));
        }
        return Cooling.own(factors);
    }

    /** Learns from the newest makings of a kind. */
    public Learned of(String kind, House house) {
        List<Makings.Sheet> made = makings.made(kind, PAST);
        List<Past> past = new ArrayList<>();
        List<OwnRight.Test> tests = new ArrayList<>();
        for (Makings.Sheet sheet : made) {
            double now = sheet.course().formula().firmness().value();
            List<OwnRight.Test> own = new ArrayList<>(sheet.course().tests());
            sheet.holding().stream()
                    .filter(at -> at.line() instanceof MakingLine.TurnedOut)
                    .map(at -> new OwnRight.Test(now, ((MakingLine.TurnedOut) at.line()).felt()))
                    .forEach(own::add);
            if (!own.isEmpty()) {
                // A making counts by how it was felt last. The newest comes first here, and last where the latest five
                // are taken.
                OwnRight.Test last = own.get(own.size() - 1);
                tests.add(0, last);
                past.add(new Past(
                        sheet.number(),
                        last.firmness(),
                        last.felt().word(),
                        house.dayOf(
                                sheet.holding().get(sheet.holding().size() - 1).at())));
            }
        }
        return new Learned(OwnRight.of(tests), past);
    }
}
