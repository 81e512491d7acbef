package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Dimension;
import java.util.EnumSet;
import java.util.Set;

/** What a field is for, which settles some words ("c", "oz") and gives its examples. */
public enum Expect {
    /** Something weighed or heaped: a bare "oz" is a weight. */
    SOLID(EnumSet.of(Dimension.MASS, Dimension.VOLUME), "60 g, 2 oz or 1½ cups"),
    /** Something poured: a bare "oz" may be a fluid ounce or a weight. */
    LIQUID(EnumSet.of(Dimension.MASS, Dimension.VOLUME), "400 mL, 1½ cups, 9 fl oz or 380 g"),
    /** A vessel's capacity: always a volume, so "oz" means fluid ounces. */
    CAPACITY(EnumSet.of(Dimension.VOLUME), "500 mL, 1 quart or 16 fl oz"),
    TEMPERATURE(EnumSet.of(Dimension.TEMPERATURE), "46 °C or 115 °F"),
    LENGTH(EnumSet.of(Dimension.LENGTH), "84 mm or 3 inches"),
    TIME(EnumSet.of(Dimension.TIME), "35 days or 4-6 weeks");

    private final Set<Dimension> dimensions;
    private final String examples;

    Expect(Set<Dimension> dimensions, String examples) {
        this.dimensions = dimensions;
        this.examples = examples;
    }

    boolean allows(Dimension dimension) {
        return dimensions.contains(dimension);
    }

    /** Example texts for an error or a hint. */
    public String examples() {
        return examples;
    }

    String dimensionWords() {
        return String.join(
                " or ", dimensions.stream().map(Dimension::withArticle).toList());
    }
}
