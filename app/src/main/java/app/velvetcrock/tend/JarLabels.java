package app.velvetcrock.tend;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.LabelLine.Role;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.stillroom.Households;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the label of a jar on its way says, line by line, as its page says it. */
@Component
public class JarLabels {

    private final Batches batches;
    private final Households households;

    JarLabels(Batches batches, Households households) {
        this.batches = batches;
        this.households = households;
    }

    public List<LabelLine> lines(UUID batch) {
        JarLabel label = JarLabel.of(batches.sheet(batch), households.current());
        List<LabelLine> lines = new ArrayList<>();
        if (label.alarm() != null) {
            lines.add(LabelLine.of(Role.ALARM, label.alarm()));
        }
        lines.add(LabelLine.of(Role.TITLE, label.title()));
        label.herbs().forEach(herb -> lines.add(LabelLine.of(Role.OF, herb.share() + herb.botanical() + herb.state())));
        lines.add(LabelLine.of(Role.OF, "in " + label.carrier() + label.ratio()));
        lines.add(LabelLine.of(Role.AMOUNT, label.amounts()));
        Coming until = label.until();
        lines.add(LabelLine.of(
                Role.DATES,
                "Charged %s, %s%s"
                        .formatted(label.charged(), label.untilHead(), until == null ? "" : " " + until.words())));
        label.more().forEach(more -> lines.add(LabelLine.strong(Role.KEEP, more.strong(), more.words())));
        lines.add(LabelLine.of(Role.CAUTIONS, label.cautions()));
        lines.add(LabelLine.of(Role.BATCH, label.number()));
        return lines;
    }
}
