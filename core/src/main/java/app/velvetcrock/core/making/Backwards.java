package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.Optional;

/**
 * So many containers of a kind worked back to what they take (craft: making, containers; from wanted to latest start).
 *
 * @param melt all of it, its hollows topped
 * @param oil the oil in it
 */
public record Backwards(Melt melt, Volume oil) {

    private static final int MOST = 10_000;

    /** What is wanted. */
    public record Wish(Kind kind, int count, Container container, double firmness) {
        public Wish {
            Check.range("containers", count, 1, MOST, "pieces");
            Check.range("firmness", firmness, 0, Firmness.HARDEST, "on the scale");
        }
    }

    /**
     * Works it out with beeswax and the kind's own butters, as they set in a room so warm.
     *
     * @throws Melt.CannotBe where it comes to more than 20 kg
     */
    public static Backwards of(Wish wish, Density oil, Temperature room) {
        Setting setting = Setting.shipped();
        Kind kind = wish.kind();
        Formula.Stuff liquid = new Formula.Stuff("oil", "oil", Formula.Role.OIL, 0);
        Formula.Stuff wax = new Formula.Stuff(
                Setting.BEESWAX, "beeswax", Formula.Role.WAX, setting.equivalent(Setting.BEESWAX, room));
        List<MeltRequest.Wish> others = kind.others().entrySet().stream()
                .map(one -> new MeltRequest.Wish(
                        new Formula.Stuff(
                                one.getKey(),
                                one.getKey(),
                                Formula.Role.BUTTER,
                                setting.equivalent(one.getKey(), room)),
                        new MeltRequest.Share.Of(one.getValue())))
                .toList();
        Melt melt = Melt.of(new MeltRequest(
                new HowMuch.Count(wish.count(), wish.container()),
                liquid,
                kind.wax() ? Optional.of(wax) : Optional.empty(),
                Optional.empty(),
                others,
                wish.firmness(),
                kind.whipped()));
        double grams = melt.formula().parts().stream()
                .filter(part -> part.stuff().equals(liquid))
                .mapToDouble(part -> part.mass().grams())
                .sum();
        return new Backwards(melt, oil.volumeOf(Mass.ofGrams(grams)));
    }
}
