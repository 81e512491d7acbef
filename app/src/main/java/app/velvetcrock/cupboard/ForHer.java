package app.velvetcrock.cupboard;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.web.Refused;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whether something may be given to somebody: one judgement for gifts, for the Cupboard and for labels. */
@Component
public class ForHer {

    private final Borne borne;
    private final Cautions cautions;
    private final Persons persons;

    ForHer(Borne borne, Cautions cautions, Persons persons) {
        this.persons = persons;
        this.borne = borne;
        this.cautions = cautions;
    }

    /** Who is known to react to an oil or a made thing, or to its relatives. */
    @Transactional(readOnly = true)
    public List<Caution> whoReacts(UUID lot) {
        return borne.isKnown(lot) ? persons.whoReactsTo(borne.of(lot)) : List.of();
    }

    /** Who is known to react to what stands in a jar. */
    @Transactional(readOnly = true)
    public List<Caution> whoReactsToBatch(UUID batch) {
        return persons.whoReactsTo(borne.ofBatch(batch));
    }

    /** What speaks against giving a thing to each of several, the gravest first; what it bears is read once. */
    @Transactional(readOnly = true)
    public List<List<Caution>> against(List<Recipient> all, UUID lot) {
        Set<String> bears = borne.of(lot);
        return all.stream()
                .map(who -> who.equals(Recipient.ANYBODY) ? List.<Caution>of() : who.against(bears, cautions))
                .toList();
    }

    /** What speaks against giving it to her, the gravest first. */
    @Transactional(readOnly = true)
    public List<Caution> against(Recipient who, UUID lot) {
        return who.equals(Recipient.ANYBODY) ? List.of() : who.against(borne.of(lot), cautions);
    }

    /** What is refused her, in words; empty where nothing is. */
    public static String refusal(List<Caution> against) {
        return against.stream()
                .filter(caution -> caution.level() == Level.REFUSE)
                .map(Caution::head)
                .distinct()
                .collect(Collectors.joining(", "));
    }

    /** Refuses what she must not have; what happened already can be written down. */
    @Transactional(readOnly = true)
    public void refuse(Recipient who, String name, UUID lot, boolean happened) {
        String refusal = happened ? "" : refusal(against(who, lot));
        if (!refusal.isEmpty()) {
            throw new Refused(
                    "who",
                    "Not for %s: %s.".formatted(name, refusal),
                    "somebody else; or, where it happened already, when that was");
        }
    }
}
