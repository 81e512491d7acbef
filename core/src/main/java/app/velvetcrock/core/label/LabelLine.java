package app.velvetcrock.core.label;

/**
 * A line a label says.
 *
 * @param strong how much of its beginning stands out, in signs; none for nothing
 * @param figures how high its figures are at least, mm; none where no rule says it
 */
public record LabelLine(Role role, String text, int strong, double figures) {

    /** What a line is for; where not all of it fits, what is told last goes to the slip first, and what must stay never goes. */
    public enum Role {
        /** What is wrong with it: keep back. */
        ALARM(true, true, 1.15),
        TITLE(true, true, 1.5),
        /** What it is for, in plain words. */
        FOR(false, false, 1.05),
        /** Botanical names, oil, ingredients. */
        OF(true, false, 1),
        ALLERGENS(true, false, 1),
        AMOUNT(true, true, 1.1),
        DATES(true, false, 1),
        /** Cool and dark, or the refrigerator and its days. */
        KEEP(true, false, 1),
        CAUTIONS(true, false, 1),
        BATCH(true, false, 1),
        /** The household, and its line. */
        WHO(false, false, 1),
        /** Whatever else there is to tell. */
        MORE(false, false, 1);

        private final boolean stays;
        private final boolean strong;
        private final double size;

        Role(boolean stays, boolean strong, double size) {
            this.stays = stays;
            this.strong = strong;
            this.size = size;
        }

        /** Tells whether it never goes to a slip. */
        public boolean stays() {
            return stays;
        }

        /** Its size beside the other lines'. */
        double size() {
            return size;
        }
    }

    public static LabelLine of(Role role, String text) {
        return new LabelLine(role, text, role.strong ? text.length() : 0, 0);
    }

    /** The same with its first signs standing out. */
    public static LabelLine strong(Role role, String first, String then) {
        return new LabelLine(role, first + then, first.length(), 0);
    }

    /** The same with its figures so high at least, mm. */
    public LabelLine figures(double millimetres) {
        return new LabelLine(role, text, strong, millimetres);
    }
}
