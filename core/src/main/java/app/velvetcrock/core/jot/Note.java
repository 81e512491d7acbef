package app.velvetcrock.core.jot;

/** The writer's own words in a line: between quotes, or behind a dash. */
record Note(String words, int from, int to) {

    private static final Note NONE = new Note("", -1, -1);

    /** The first that stands in quotes; one that is not closed goes to the end. */
    static Note quoted(String text) {
        int from = first(text, '"', '“');
        if (from < 0) {
            return NONE;
        }
        int end = from + 1;
        while (end < text.length() && text.charAt(end) != '"' && text.charAt(end) != '”') {
            end++;
        }
        return new Note(text.substring(from + 1, end).strip(), from, Math.min(text.length(), end + 1));
    }

    /** What stands behind the first dash with room about it. */
    static Note dashed(String text) {
        for (int at = 1; at + 1 < text.length(); at++) {
            boolean dash = text.charAt(at) == '-' || text.charAt(at) == '–' || text.charAt(at) == '—';
            if (dash && text.charAt(at - 1) == ' ' && text.charAt(at + 1) == ' ') {
                return new Note(text.substring(at + 1).strip(), at, text.length());
            }
        }
        return NONE;
    }

    private static int first(String text, char one, char other) {
        int first = text.indexOf(one);
        int second = text.indexOf(other);
        return first < 0 ? second : second < 0 ? first : Math.min(first, second);
    }

    boolean isThere() {
        return from >= 0;
    }

    /** The text without it, each word where it stood. */
    String without(String text) {
        return text.substring(0, from) + " ".repeat(to - from) + text.substring(to);
    }

    /** The text with the dash alone taken out. */
    String spaced(String text) {
        return text.substring(0, from) + " " + text.substring(from + 1);
    }
}
