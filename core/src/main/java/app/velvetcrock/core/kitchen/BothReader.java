package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.Reading.Unsure;
import app.velvetcrock.core.measure.Dimension;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads a weight and a volume written side by side; each settles what the other may mean. */
final class BothReader {

    /** A comma parts two amounts only before a space, so that 0,25 l stays one number. */
    private static final Pattern PARTED = Pattern.compile(
            "^(.+?)(?:,\\s+|\\s*\\(\\s*(?:about |or )?|\\s+=\\s+|\\s+or\\s+|\\s*/\\s+)(\\S.*?)\\s*\\)?$");

    private final AmountReader reader;

    BothReader(AmountReader reader) {
        this.reader = reader;
    }

    /** The two, or nothing when the text is not just one weight and one volume. */
    Optional<Both> read(String text, Expect expect) {
        Matcher parts = PARTED.matcher(text.strip());
        if (!parts.matches()) {
            return Optional.empty();
        }
        List<Amount> first = amounts(parts.group(1), expect);
        List<Amount> second = amounts(parts.group(2), expect);
        List<Both> pairs = new ArrayList<>();
        first.forEach(a -> second.forEach(b -> pair(text, a, b).ifPresent(pairs::add)));
        return pairs.size() == 1 ? Optional.of(pairs.get(0)) : Optional.empty();
    }

    private static Optional<Both> pair(String text, Amount a, Amount b) {
        if (a.unit().dimension() == Dimension.MASS && b.unit().dimension() == Dimension.VOLUME) {
            return Optional.of(new Both(text, a, b));
        }
        boolean turned = a.unit().dimension() == Dimension.VOLUME && b.unit().dimension() == Dimension.MASS;
        return turned ? Optional.of(new Both(text, b, a)) : Optional.empty();
    }

    private List<Amount> amounts(String text, Expect expect) {
        Reading reading = reader.read(text, expect);
        if (reading instanceof Understood understood) {
            return List.of(understood.amount());
        }
        return reading instanceof Unsure unsure
                ? unsure.readings().stream().map(Understood::amount).toList()
                : List.of();
    }
}
