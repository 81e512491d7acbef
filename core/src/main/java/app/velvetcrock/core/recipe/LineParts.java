package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Optional;

/** Parts a line into its amount and what it is of, in either order. */
record LineParts(AmountReader amounts, Things things) {

    private static final Pattern AFTERWARDS =
            Pattern.compile("^(.*?)\\s*(?::|=|\\s[-–]\\s)\\s*((?:\\d|[½⅓⅔¼¾⅛]|an? |half|one|two|three).*)$");
    private static final Pattern SECOND =
            Pattern.compile("^(.*?)\\s*(?:,\\s+|\\()\\s*(?:about |or |that is )?(\\S.*?)\\)?\\s*$");

    private static final Pattern SOME_OIL =
            Pattern.compile("(?i)(.+?),? (?:of )?(?:the )?(?:carrier |base |vegetable )?oil");

    /** An amount, a second one if it stands apart from the first, and what they are of. */
    record Parts(String amount, String second, String name) {

        String amounts() {
            return second.isEmpty() ? amount : amount + ", " + second;
        }
    }

    Optional<Parts> split(String line) {
        Matcher after = AFTERWARDS.matcher(line);
        if (after.matches() && things.find(after.group(1)).isPresent() && reads(after.group(2))) {
            return Optional.of(new Parts(after.group(2), "", after.group(1)));
        }
        Matcher second = SECOND.matcher(line);
        if (second.matches() && reads(second.group(2))) {
            Optional<Parts> first = leading(second.group(1)).or(() -> trailing(second.group(1)));
            if (first.isPresent()) {
                return Optional.of(new Parts(
                        first.get().amount(), second.group(2), first.get().name()));
            }
        }
        return leading(line).or(() -> trailing(line));
    }

    /** The name first and the amount after it: "St John's wort 20 g". The longest end that reads as one. */
    private Optional<Parts> trailing(String line) {
        String[] words = Linear.split(line, "\\s+");
        for (int named = Math.max(1, words.length - RecipeReader.MOST_OF_AN_AMOUNT); named < words.length; named++) {
            String name = String.join(" ", List.of(words).subList(0, named));
            String amount = String.join(" ", List.of(words).subList(named, words.length));
            if (!hasDigit(name)
                    && things.find(name)
                            .filter(thing -> things.unread(name, thing).isEmpty())
                            .isPresent()
                    && reads(amount)) {
                return Optional.of(new Parts(amount, "", name));
            }
        }
        return Optional.empty();
    }

    /** The longest beginning that reads as an amount, when what follows names something. */
    private Optional<Parts> leading(String line) {
        String[] words = Linear.split(line, "\\s+");
        for (int taken = Math.min(RecipeReader.MOST_OF_AN_AMOUNT, words.length - 1); taken > 0; taken--) {
            String amount = Linear.first(String.join(" ", List.of(words).subList(0, taken)), ",$", "");
            String name = String.join(" ", List.of(words).subList(taken, words.length));
            // What costs least is asked first: most ends of a line name nothing.
            if (!hasDigit(name)
                    && things.find(name).isPresent()
                    && reads(amount)
                    && !isVague(amount + " " + words[taken])) {
                return Optional.of(new Parts(amount, "", name));
            }
        }
        return Optional.empty();
    }

    private static boolean hasDigit(String name) {
        return name.chars().anyMatch(Character::isDigit);
    }

    boolean isVague(String amount) {
        return amounts.read(amount, Expect.SOLID) instanceof Reading.NotUnderstood not
                && not.wrong().contains("weigh it once");
    }

    boolean reads(String amount) {
        Reading reading = amounts.read(amount, Expect.LIQUID);
        return !(reading instanceof Reading.NotUnderstood)
                || amounts.readBoth(amount, Expect.LIQUID).isPresent();
    }

    /** "Four cups of oil": which is not said. */
    boolean isSomeOil(String text) {
        Matcher some = SOME_OIL.matcher(text);
        return some.matches() && things.find("oil").isEmpty() && reads(some.group(1));
    }

    boolean isAmountAlone(String text) {
        return things.find(text).isEmpty() && reads(text);
    }
}
