package app.velvetcrock.core.caution;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What one thing means for one user.
 *
 * @param level absent where nothing is known against it
 * @param most percent of the whole it may be; absent where that is not limited
 * @param half whether it may be half of its own maximum
 */
public record Cell(Optional<Level> level, OptionalDouble most, boolean half) {

    private static final String HALF = "half";

    /**
     * Reads a cell of the table: {@code R}, {@code W}, {@code n}, {@code .}, {@code W1}, {@code 0.5}, {@code half}.
     *
     * @throws IllegalArgumentException with the text, for anything else
     */
    static Cell parse(String text) {
        return switch (text) {
            case "R" -> new Cell(Optional.of(Level.REFUSE), OptionalDouble.empty(), false);
            case "W" -> new Cell(Optional.of(Level.WARN), OptionalDouble.empty(), false);
            case "n" -> new Cell(Optional.of(Level.NOTE), OptionalDouble.empty(), false);
            case "." -> new Cell(Optional.empty(), OptionalDouble.empty(), false);
            case HALF -> new Cell(Optional.of(Level.WARN), OptionalDouble.empty(), true);
            default -> text.startsWith("W")
                    ? new Cell(Optional.of(Level.WARN), OptionalDouble.of(percent(text.substring(1), text)), false)
                    : new Cell(Optional.empty(), OptionalDouble.of(percent(text, text)), false);
        };
    }

    private static double percent(String number, String text) {
        try {
            return Double.parseDouble(number);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“%s” is no cell; it is R, W, n, ., half or percent".formatted(text), e);
        }
    }

    public boolean isRefused() {
        return level.filter(one -> one == Level.REFUSE).isPresent();
    }
}
