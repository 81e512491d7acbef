package app.velvetcrock.core.measure;

import java.util.function.DoubleFunction;

/** What kind of thing an amount measures, with its canonical unit. */
public enum Dimension {
    MASS(Mass::ofGrams, "a weight", "g"),
    VOLUME(Volume::ofMillilitres, "a volume", "mL"),
    TEMPERATURE(Temperature::ofCelsius, "a temperature", "°C"),
    LENGTH(Length::ofMillimetres, "a length", "mm"),
    TIME(TimeSpan::ofMinutes, "a time", "min");

    private final DoubleFunction<Quantity> factory;
    private final String article;
    private final String symbol;

    Dimension(DoubleFunction<Quantity> factory, String article, String symbol) {
        this.factory = factory;
        this.article = article;
        this.symbol = symbol;
    }

    public Quantity of(double canonical) {
        return factory.apply(canonical);
    }

    /** A name with its article: "a weight". */
    public String withArticle() {
        return article;
    }

    public String symbol() {
        return symbol;
    }
}
