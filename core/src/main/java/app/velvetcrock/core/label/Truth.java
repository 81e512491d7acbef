package app.velvetcrock.core.label;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What must still be so for a printed label to be true: its name, its day and what is wrong with what it is on.
 *
 * @param day best before, or when it is to be strained; absent where it says none
 * @param wrong what is wrong, by key
 */
public record Truth(String name, Optional<LocalDate> day, List<String> wrong) {

    public Truth {
        wrong = List.copyOf(new TreeSet<>(wrong));
    }

    /** What of it may have changed. */
    public enum What {
        NAME,
        DAY,
        CONDITION
    }

    /** What of this is no longer so. */
    public List<What> changed(Truth now) {
        List<What> changed = new ArrayList<>();
        if (!now.wrong.equals(wrong)) {
            changed.add(What.CONDITION);
        }
        if (!now.name.equals(name)) {
            changed.add(What.NAME);
        }
        if (now.day.isPresent() && !now.day.equals(day)) {
            changed.add(What.DAY);
        }
        return changed;
    }
}
