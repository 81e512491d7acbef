package app.velvetcrock.core.jot;

import app.velvetcrock.core.kitchen.WhenReader;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** When something was done, as it stands among other words. */
final class Moments {

    private static final int MOST_WORDS = 5;
    private static final int GRACE_MINUTES = 5;

    private final WhenReader when;
    private final LocalDateTime now;

    Moments(LocalDateTime now) {
        this.when = WhenReader.ofThePast(now);
        this.now = now;
    }

    /** Reads a moment that begins at a word, and tells how many words it took. */
    int read(List<Word> words, int at, Draft draft) {
        for (int count = Math.min(MOST_WORDS, words.size() - at); count > 0; count--) {
            Word last = words.get(at + count - 1);
            String text = Word.join(words, at, count);
            if (last.isSign() || !couldBeWhen(words.get(at).text(), text)) {
                continue;
            }
            Optional<LocalDateTime> read = when.moment(text);
            if (read.isPresent()) {
                LocalDateTime there = read.get();
                boolean clock =
                        text.chars().noneMatch(Character::isLetter) || text.startsWith("at ") && !text.contains("day");
                if (there.isAfter(now.plusMinutes(GRACE_MINUTES)) && clock) {
                    there = there.minusDays(1);
                }
                if (there.isAfter(now.plusMinutes(GRACE_MINUTES))) {
                    draft.doubt(words.get(at), last, "what was done lies before now", List.of());
                } else if (!there.equals(now)) {
                    draft.at(there, words.get(at), last);
                }
                return count;
            }
        }
        return 0;
    }

    /** A bare number is no hour; "at 46.2" is no moment either. */
    private static boolean couldBeWhen(String first, String text) {
        boolean words = text.chars().anyMatch(Character::isLetter) || text.contains(":");
        boolean number =
                !first.equals("at") && first.chars().allMatch(c -> Character.isDigit(c) || c == '.' || c == ',');
        boolean counted =
                text.contains("ago") || text.contains("am") || text.contains("pm") || text.contains("o'clock");
        return words && (!number || counted || text.contains(":"));
    }
}
