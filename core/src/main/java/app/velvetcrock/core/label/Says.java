package app.velvetcrock.core.label;

import app.velvetcrock.core.label.LabelLine.Role;
import java.util.ArrayList;
import java.util.List;

/** What a label says, one type for each kind of label (craft: what a label says); its lines stand in the order they are read. */
public sealed interface Says {

    /** What it is called on it. */
    String name();

    List<LabelLine> lines();

    /** Words of which the first stand out. */
    record Told(String strong, String words) {}

    /** A jar while it infuses; {@code wrong} with it, in words. */
    record Jar(
            List<String> wrong,
            String name,
            List<String> herbs,
            String oil,
            String amounts,
            String dates,
            List<Told> more,
            String cautions,
            String batch)
            implements Says {

        @Override
        public List<LabelLine> lines() {
            List<LabelLine> lines = begun(wrong, name);
            herbs.forEach(herb -> lines.add(LabelLine.of(Role.OF, herb)));
            lines.add(LabelLine.of(Role.OF, "in " + oil));
            lines.add(LabelLine.of(Role.AMOUNT, amounts));
            lines.add(LabelLine.of(Role.DATES, dates));
            more.forEach(one -> lines.add(LabelLine.strong(Role.KEEP, one.strong(), one.words())));
            lines.add(LabelLine.of(Role.CAUTIONS, cautions));
            lines.add(LabelLine.of(Role.BATCH, batch));
            return lines;
        }
    }

    /** A dot for a lid: an extra, never the only one, since lids get swapped. */
    record LidDot(List<String> wrong, String name, String date, String batch) implements Says {

        @Override
        public List<LabelLine> lines() {
            List<LabelLine> lines = new ArrayList<>();
            if (!wrong.isEmpty()) {
                lines.add(LabelLine.of(Role.ALARM, "! keep back"));
            }
            lines.add(LabelLine.of(Role.TITLE, name));
            lines.add(LabelLine.of(Role.DATES, date));
            lines.add(LabelLine.of(Role.BATCH, batch));
            return lines;
        }
    }

    /** A bottle of a finished oil; {@code words} of the household's own on it. */
    record Bottle(
            List<String> wrong,
            String name,
            String words,
            List<String> herbs,
            String oil,
            String amount,
            double figures,
            String dates,
            List<Told> keep,
            String cautions,
            String who)
            implements Says {

        @Override
        public List<LabelLine> lines() {
            List<LabelLine> lines = begun(wrong, name);
            lines.add(LabelLine.of(Role.FOR, words));
            herbs.forEach(herb -> lines.add(LabelLine.of(Role.OF, herb)));
            lines.add(LabelLine.of(Role.OF, "in " + oil));
            lines.add(LabelLine.of(Role.AMOUNT, amount).figures(figures));
            lines.add(LabelLine.of(Role.DATES, dates));
            keep.forEach(one -> lines.add(LabelLine.strong(Role.KEEP, one.strong(), one.words())));
            lines.add(LabelLine.of(Role.CAUTIONS, cautions));
            lines.add(LabelLine.of(Role.WHO, who));
            return lines;
        }
    }

    /**
     * What a made thing's label says, whatever it is in.
     *
     * @param kind what it is, and {@code words} what for, in plain words
     * @param contains allergens; nothing where there are none
     * @param net its net weight in words, with figures so high at least, mm
     */
    record Made(
            List<String> wrong,
            String name,
            String kind,
            String words,
            String ingredients,
            String contains,
            String net,
            double figures,
            String dates,
            String cautions,
            String batch,
            String who) {

        List<LabelLine> lines() {
            List<LabelLine> lines = begun(wrong, name);
            lines.add(LabelLine.of(Role.FOR, kind));
            lines.add(LabelLine.of(Role.FOR, words));
            lines.add(LabelLine.of(Role.OF, "Ingredients: " + ingredients));
            if (!contains.isEmpty()) {
                lines.add(LabelLine.strong(Role.ALLERGENS, "Contains: ", contains));
            }
            lines.add(LabelLine.of(Role.AMOUNT, "Net " + net).figures(figures));
            lines.add(LabelLine.of(Role.DATES, dates));
            lines.add(LabelLine.of(Role.CAUTIONS, cautions));
            lines.add(LabelLine.of(Role.BATCH, batch));
            lines.add(LabelLine.of(Role.WHO, who));
            return lines;
        }
    }

    /** A tin or a jar of something made. */
    record Tin(Made made) implements Says {

        @Override
        public String name() {
            return made.name();
        }

        @Override
        public List<LabelLine> lines() {
            return made.lines();
        }
    }

    /** A bar, which has no lid: a band around it, or a slip beside it. */
    record Bar(Made made) implements Says {

        @Override
        public String name() {
            return made.name();
        }

        @Override
        public List<LabelLine> lines() {
            return made.lines();
        }
    }

    /** A bag or a rack of herb, drying or dried. */
    record Bag(List<String> wrong, String name, String of, String amount, String dates, String cautions, String who)
            implements Says {

        @Override
        public List<LabelLine> lines() {
            List<LabelLine> lines = begun(wrong, name);
            lines.add(LabelLine.of(Role.OF, of));
            lines.add(LabelLine.of(Role.AMOUNT, amount));
            lines.add(LabelLine.of(Role.DATES, dates));
            lines.add(LabelLine.of(Role.CAUTIONS, cautions));
            lines.add(LabelLine.of(Role.WHO, who));
            return lines;
        }
    }

    /** The sheet that goes along with a batch: what its label says, what is to be done when, and room to write. */
    record Sheet(Jar jar, List<String> steps) implements Says {

        /** To be filled in by hand. */
        private static final String ROOM = ": ______________________________";

        @Override
        public String name() {
            return jar.name();
        }

        @Override
        public List<LabelLine> lines() {
            List<LabelLine> lines = new ArrayList<>(jar.lines());
            steps.forEach(step -> lines.add(LabelLine.of(Role.MORE, step + ROOM)));
            return lines;
        }
    }

    private static List<LabelLine> begun(List<String> wrong, String name) {
        List<LabelLine> lines = new ArrayList<>();
        wrong.forEach(one -> lines.add(LabelLine.of(Role.ALARM, "! " + one)));
        lines.add(LabelLine.of(Role.TITLE, name));
        return lines;
    }
}
