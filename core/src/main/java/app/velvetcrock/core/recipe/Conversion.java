package app.velvetcrock.core.recipe;

import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;

/** One amount of a thing in every measure at once. */
public record Conversion(Thing thing, Mass mass, Volume volume) {

    /** A value with its measure: "1½", "cups". */
    public record Line(String value, String measure) {}

    public static Conversion of(Thing thing, Mass mass) {
        return new Conversion(thing, mass, thing.density().volumeOf(mass));
    }

    /** Every measure, weights first; cups and spoons are the household's own. */
    public List<Line> lines(CupSystem cups) {
        List<Line> lines = new ArrayList<>();
        lines.add(line(mass.grams(), "g"));
        lines.add(line(mass.grams() / Unit.OUNCE.factor(), "oz by weight"));
        if (mass.grams() >= Unit.POUND.factor()) {
            lines.add(line(mass.grams() / Unit.POUND.factor(), "lb"));
        }
        lines.add(line(volume.millilitres(), "mL"));
        lines.add(line(volume.millilitres() / cups.fluidOunce().millilitres(), "fl oz"));
        lines.add(line(volume.millilitres() / cups.cup().millilitres(), "cups, " + cups.word()));
        lines.add(line(volume.millilitres() / cups.tablespoon().millilitres(), "tbsp"));
        lines.add(line(volume.millilitres() / cups.teaspoon().millilitres(), "tsp"));
        return lines;
    }

    private static Line line(double value, String measure) {
        return new Line(Decimals.upTo(value, value < 1 ? 3 : value < 10 ? 2 : value < 100 ? 1 : 0), measure);
    }
}
