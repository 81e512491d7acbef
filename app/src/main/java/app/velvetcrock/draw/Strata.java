package app.velvetcrock.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * Herb and oil beside each other as people say them, one part to so many, along a bar of 132 px; colours are data.
 *
 * @param words the same said
 */
public record Strata(List<Band> bands, String words) {

    /** One part of herb to this many of oil fills the bar. */
    private static final double MOST = 12;

    private static final double LONG = 132;

    /** A stretch of one colour. */
    public record Band(double x, double width, String tint) {}

    /**
     * Something in a charge.
     *
     * @param parts how many parts of it to one of all the herb
     */
    public record Part(double parts, String tint) {}

    /** Draws shares of one whole, which fill the bar. */
    public static Strata ofShares(List<Part> shares, String words) {
        return of(
                shares.stream()
                        .map(one -> new Part((MOST + 1) * one.parts(), one.tint()))
                        .toList(),
                words);
    }

    /** Draws them in their order; what goes beyond the bar is drawn closer, all alike. */
    public static Strata of(List<Part> parts, String words) {
        double all = parts.stream().mapToDouble(Part::parts).sum();
        double scale = LONG / Math.max(MOST + 1, all);
        List<Band> bands = new ArrayList<>();
        double x = 0;
        for (Part part : parts) {
            double width = Math.max(1.5, part.parts() * scale);
            bands.add(new Band(x, width, part.tint()));
            x += width;
        }
        return new Strata(List.copyOf(bands), words);
    }
}
