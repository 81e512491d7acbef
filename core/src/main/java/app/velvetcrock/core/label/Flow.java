package app.velvetcrock.core.label;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Words in rows, from the top down, narrower where a corner is taken. */
final class Flow {

    static final double LEADING = 1.18;

    /** A sign in its face. */
    record Sign(int code, Face face) {

        double advance() {
            return face.advance(code);
        }

        boolean isSpace() {
            return code == ' ';
        }
    }

    /** A word with the space behind it: how wide it is without that, and with it, of an em. */
    record Word(List<Sign> signs, double width, double whole) {

        static Word of(List<Sign> signs) {
            double whole = signs.stream().mapToDouble(Sign::advance).sum();
            double space = signs.stream()
                    .filter(Sign::isSpace)
                    .mapToDouble(Sign::advance)
                    .sum();
            return new Word(signs, whole - space, whole);
        }
    }

    /** A row of them with its baseline, mm. */
    record Row(double y, double letter, List<Sign> signs) {}

    /**
     * Where words may stand, mm.
     *
     * @param taken corners at the right that are something else's
     */
    record Room(Paper.Size size, double margin, List<Laid.Box> taken) {

        /** How wide a row from here to there may be. */
        double width(double from, double to) {
            double right = size.width() - margin;
            for (Laid.Box box : taken) {
                if (from < box.y() + box.height() && to > box.y()) {
                    right = Math.min(right, box.x());
                }
            }
            return right - margin;
        }

        double bottom() {
            return size.height() - margin;
        }
    }

    private final Room room;
    private final @Nullable List<Row> into;
    private double y;

    /** The row that is being filled. */
    private List<Sign> row = new ArrayList<>();

    private double wide;
    private boolean empty = true;

    /** {@code into}: where the rows are put; null where only their height is asked. */
    Flow(Room room, @Nullable List<Row> into) {
        this.room = room;
        this.into = into;
        this.y = room.margin();
    }

    /** How far down it has come. */
    double y() {
        return y;
    }

    /** A line more: broken between words, and a word longer than a row wherever it must. */
    void add(List<Word> words, double letter) {
        double high = letter * LEADING;
        double most = room.width(y, y + high) / letter;
        for (Word word : words) {
            if (!empty && wide + word.width() > most) {
                end(letter);
                most = room.width(y, y + high) / letter;
            }
            if (word.width() <= most && into == null) {
                wide += word.whole();
                empty = false;
                continue;
            }
            for (Sign sign : word.signs()) {
                if (!empty && !sign.isSpace() && wide + sign.advance() > most) {
                    end(letter);
                    most = room.width(y, y + high) / letter;
                }
                if (into != null) {
                    row.add(sign);
                }
                wide += sign.advance();
                empty = false;
            }
        }
        if (!empty) {
            end(letter);
        }
    }

    /** No row ends with a space. */
    private void end(double letter) {
        y += letter * LEADING;
        if (into != null) {
            int end = row.size();
            while (end > 1 && row.get(end - 1).isSpace()) {
                end--;
            }
            into.add(new Row(y - letter * Face.DESCENT, letter, row.subList(0, end)));
            row = new ArrayList<>();
        }
        wide = 0;
        empty = true;
    }
}
