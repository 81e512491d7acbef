package app.velvetcrock.label;

import app.velvetcrock.core.text.Linear;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What is to be printed, as an address holds it.
 *
 * @param of things and how many labels of each: "batch.ID.1", "lot.ID.12"
 * @param paper which, by its key
 * @param from the first label of the sheet that is still there, counted from one
 * @param right by how much the printer sits too far left, mm; {@code down} too high
 * @param title another name for a made thing, and {@code words} of one's own on it
 * @param sale whether it is to be sold: its letters are larger then
 */
record Queue(
        @Nullable List<String> of,
        @Nullable String paper,
        @Nullable String from,
        @Nullable String right,
        @Nullable String down,
        @Nullable String title,
        @Nullable String words,
        @Nullable String sale) {

    /** More than these are printed at once by nobody. */
    static final int MOST = 400;

    private static final int MOST_THINGS = 40;
    private static final int LONGEST = 60;
    private static final double FURTHEST = 15;

    /** A thing with as many labels. */
    record Wanted(boolean batch, UUID id, int copies) {

        String said() {
            return "%s.%s.%d".formatted(batch ? "batch" : "lot", id, copies);
        }
    }

    /** The things; what cannot be one is left out. */
    List<Wanted> wanted() {
        List<Wanted> wanted = new ArrayList<>();
        int left = MOST;
        for (String one : of == null ? List.<String>of() : of.subList(0, Math.min(MOST_THINGS, of.size()))) {
            Optional<Wanted> read = read(one == null ? "" : one, left);
            read.ifPresent(wanted::add);
            left -= read.map(Wanted::copies).orElse(0);
        }
        return wanted;
    }

    private static Optional<Wanted> read(String said, int most) {
        String[] parts = said.length() > LONGEST ? new String[0] : Linear.split(said, "\\.");
        if (parts.length != 3 || !List.of("batch", "lot").contains(parts[0])) {
            return Optional.empty();
        }
        try {
            int copies = Math.min(most, Integer.parseInt(parts[2]));
            return copies < 1
                    ? Optional.empty()
                    : Optional.of(new Wanted(parts[0].equals("batch"), UUID.fromString(parts[1]), copies));
        } catch (IllegalArgumentException no) {
            return Optional.empty();
        }
    }

    /** The first free label of a sheet, counted from nought. */
    int begin(int on) {
        try {
            return Math.max(0, Math.min(on - 1, Integer.parseInt(text(from)) - 1));
        } catch (NumberFormatException none) {
            return 0;
        }
    }

    double offset(@Nullable String said) {
        try {
            double millimetres = Double.parseDouble(text(said).replace(',', '.'));
            return Double.isFinite(millimetres) ? Math.max(-FURTHEST, Math.min(FURTHEST, millimetres)) : 0;
        } catch (NumberFormatException none) {
            return 0;
        }
    }

    boolean isSale() {
        return !text(sale).isEmpty();
    }

    static String text(@Nullable String said) {
        return said == null ? "" : said.strip();
    }
}
