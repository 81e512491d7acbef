package app.velvetcrock.core.book;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.parting.Recipient;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What to do about a reaction: help first, and whether anything may be tried at all (craft: learning, reactions). */
public final class NextStep {

    /** [E] Contact shows up to seven days after use; skin is calm after a week without anything more. */
    private static final int CALM_DAYS = 14;

    private static final Set<Use> CHILDREN =
            EnumSet.of(Use.NEWBORN, Use.BABY, Use.CHILD_2_5, Use.CHILD_6_14, Use.NURSLING);

    private static final Set<String> FOODS = Set.of("nuts", "peanut", "sesame", "soy", "gluten", "coconut");

    /** What helps first, in this order. */
    public static final List<String> HELP = List.of(
            "Wipe it off with a dry cloth; then mild soap and water.",
            "In the eyes: rinse with water for 15 minutes.",
            "Keep the tin, and do not use it again.",
            "Contact may show one to seven days later: write down all that was used in seven days, bought things and the sun too.");

    /** What stands before all else where it is strong, spreads or takes the breath. */
    public static final String NOW = "Get medical help now.";

    private NextStep() {}

    /** How skin took something, and on what day. */
    public record Seen(Strength strength, boolean spreading, LocalDate on) {}

    /** Tells whether help is wanted before anything is written down. */
    public static boolean isUrgent(List<Seen> all, LocalDate today) {
        return all.stream()
                .filter(seen -> !seen.on().plusDays(CALM_DAYS).isBefore(today))
                .anyMatch(NextStep::isGrave);
    }

    private static boolean isGrave(Seen seen) {
        return isGrave(seen.strength(), seen.spreading());
    }

    /** Tells whether it is one for which help is wanted now: strong, or spreading, in the face, or in the breath. */
    public static boolean isGrave(Strength strength, boolean spreading) {
        return strength == Strength.STRONG || spreading;
    }

    /** What may be tried. */
    public static String of(Recipient who, List<Seen> all, LocalDate today) {
        if (who.uses().stream().anyMatch(CHILDREN::contains)) {
            return "No test on a child: ask a professional about testing.";
        }
        if (who.avoids().stream().anyMatch(FOODS::contains)) {
            return "No test where a food is not borne: ask a professional about testing.";
        }
        if (all.stream().anyMatch(NextStep::isGrave)) {
            return "No test after a strong or spreading reaction: ask a professional about testing.";
        }
        boolean calm = all.stream()
                .filter(seen -> seen.strength() != Strength.NONE)
                .allMatch(seen -> seen.on().plusDays(CALM_DAYS).isBefore(today));
        return calm
                ? "Skin is calm: one thing alone, a patch the size of a coin inside the arm, looked at after two and after three days."
                : "Nothing new on the skin until it has been calm for a week.";
    }
}
