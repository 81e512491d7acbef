package app.velvetcrock.label;

import app.velvetcrock.core.text.Linear;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.Printed.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What is to be printed, as an address holds it.
 *
 * @param of things and how many labels of each: "batch.ID.1", "lot.ID.12.sale"
 * @param n the same how many, where a form says them beside; as many as there are things
 * @param on their papers, where they have one of their own, and {@code to} "sale" for what is to be sold
 * @param code the codes they are printed with, which were drawn before
 * @param paper which, by its key
 * @param from the first label of the sheet that is still there, counted from one; of another paper "key~3"
 * @param right by how much the printer sits too far left, mm; {@code down} too high; where they are not said the household's
 */
record Queue(
        @Nullable List<String> of,
        @Nullable List<String> n,
        @Nullable List<String> on,
        @Nullable List<String> to,
        @Nullable List<String> code,
        @Nullable String paper,
        @Nullable List<String> from,
        @Nullable String right,
        @Nullable String down) {

    /** More than these are printed at once by nobody. */
    static final int MOST = 1_000;

    static final String SALE = "sale";
    private static final int MOST_THINGS = 60;
    private static final int LONGEST = 120;

    /** A thing with as many labels; {@code paper} its own, or empty. */
    record Wanted(Kind kind, UUID id, int copies, String paper, boolean sale) {

        String said() {
            return "%s.%s.%d%s%s"
                    .formatted(
                            kind.name().toLowerCase(Locale.ROOT),
                            id,
                            copies,
                            paper.isEmpty() ? "" : "." + paper,
                            sale ? "." + SALE : "");
        }
    }

    /** The things; what cannot be one is left out. */
    List<Wanted> wanted() {
        List<Wanted> wanted = new ArrayList<>();
        int left = MOST;
        List<String> all = list(of).subList(0, Math.min(MOST_THINGS, list(of).size()));
        for (int i = 0; i < all.size(); i++) {
            Optional<Wanted> read = read(all.get(i), i, left);
            read.ifPresent(wanted::add);
            left -= read.map(Wanted::copies).orElse(0);
        }
        return wanted;
    }

    private Optional<Wanted> read(String said, int at, int most) {
        String[] parts = said.length() > LONGEST ? new String[0] : Linear.split(said, "\\.");
        if (parts.length < 2) {
            return Optional.empty();
        }
        List<String> more = Arrays.asList(parts).subList(Math.min(3, parts.length), parts.length);
        try {
            int copies = Math.min(most, Integer.parseInt(beside(n, at, parts.length > 2 ? parts[2] : "1")));
            String paperSaid =
                    more.stream().filter(one -> !one.equals(SALE)).findFirst().orElse("");
            return copies < 1
                    ? Optional.empty()
                    : Optional.of(new Wanted(
                            Kind.valueOf(parts[0].toUpperCase(Locale.ROOT)),
                            UUID.fromString(parts[1]),
                            copies,
                            beside(on, at, paperSaid),
                            beside(to, at, more.contains(SALE) ? SALE : "").equals(SALE)));
        } catch (IllegalArgumentException no) {
            return Optional.empty();
        }
    }

    /** What a form says beside a thing; where it says nothing, what its address said. */
    private String beside(@Nullable List<String> said, int at, String otherwise) {
        return list(said).size() == list(of).size() ? text(list(said).get(at)) : otherwise;
    }

    /** The code drawn for a thing. */
    Optional<String> code(int at) {
        return at < list(code).size() ? Optional.of(list(code).get(at)) : Optional.empty();
    }

    /** The first free label of a sheet of a paper, counted from nought. */
    int begin(String key, boolean main, int most) {
        String own = key + "~";
        return list(from).stream()
                .filter(said -> said.startsWith(own) || main && said.indexOf('~') < 0)
                .map(said -> said.substring(said.indexOf('~') + 1).strip())
                .flatMap(said -> number(said).stream())
                .findFirst()
                .map(said -> (int) Math.max(0, Math.min(most - 1.0, said - 1)))
                .orElse(0);
    }

    double right(LabelLook look) {
        return offset(right, look.right());
    }

    double down(LabelLook look) {
        return offset(down, look.down());
    }

    private static double offset(@Nullable String said, double otherwise) {
        return number(text(said))
                .map(millimetres -> Math.max(-LabelLook.FURTHEST, Math.min(LabelLook.FURTHEST, millimetres)))
                .orElse(otherwise);
    }

    private static Optional<Double> number(String said) {
        try {
            double number = Double.parseDouble(said.replace(',', '.'));
            return Double.isFinite(number) ? Optional.of(number) : Optional.empty();
        } catch (NumberFormatException none) {
            return Optional.empty();
        }
    }

    static List<String> list(@Nullable List<String> said) {
        return said == null ? List.of() : said.stream().map(Queue::text).toList();
    }

    static String text(@Nullable String said) {
        return said == null ? "" : said.strip();
    }
}
