package app.velvetcrock.core.book;

/**
 * One thing about a batch, as it is laid beside that of another.
 *
 * @param planned what was planned of it; empty where nothing was, or where it is an outcome without a forecast
 * @param done how it really was; empty where nobody knows
 * @param off whether what was done is not what was planned
 */
public record Fact(Part part, String name, String planned, String done, boolean off) {

    /** Which part of a batch's story it belongs to; outcomes come last. */
    public enum Part {
        INPUT("what went in"),
        COURSE("how it stood"),
        OUTCOME("what came of it");

        private final String word;

        Part(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** Of what is as it was planned, or never was planned. */
    public static Fact of(Part part, String name, String done) {
        return new Fact(part, name, "", done, false);
    }

    /** Of what was planned so, and was done as it says. */
    public static Fact planned(Part part, String name, String planned, String done) {
        return new Fact(part, name, planned, done, !planned.equals(done));
    }
}
