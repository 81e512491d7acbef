package app.velvetcrock.core.charge;

import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Origin;
import app.velvetcrock.core.working.Working;

/** Explains the oil needed to cover, and the room a charge takes. */
public final class ChargeWorking {

    private ChargeWorking() {}

    /** Explains whether the oil covers: bulk swollen, less the herb's own volume, plus the cover over the width. */
    public static Working ofCover(Charge charge) {
        Herbs herbs = charge.herbs();
        Working.Builder sum =
                Working.of("oil needed = swollen herb − the herb's own volume + the cover across the jar");
        for (HerbPortion portion : herbs.portions()) {
            sum.given("herb", Figure.of(portion.mass()));
            sum.add(
                    "its loose weight by volume",
                    Figure.of(portion.bulk()),
                    portion.weighedBulk().isPresent() ? Origin.OWN : Origin.ESTIMATE);
        }
        return sum.estimate("herb swollen, lying loose", Figure.of(herbs.swollenLoose()))
                .estimate("herb swollen, pushed under", Figure.of(herbs.swollenPressed()))
                .estimate("the herb's own volume", Figure.of(herbs.displacement()))
                .given("jar, inner width", Figure.of(charge.vessel().innerWidth()))
                .standard(
                        "cover wanted above the herb", Figure.of(charge.vessel().coverDepth()))
                .result("the cover as oil", Figure.of(charge.coverVolume()))
                .result("oil to cover it loose", Figure.of(charge.looseNeed()))
                .result("oil to cover it pushed under", Figure.of(charge.pressedNeed()))
                .build();
    }

    /** Explains whether the charge fits its jar. */
    public static Working ofRoom(Charge charge) {
        return Working.of("room = the larger of oil with the herb in it, and swollen herb with its cover")
                .given("oil", Figure.of(charge.oil()))
                .estimate("the herb's own volume", Figure.of(charge.herbs().displacement()))
                .result("room needed", Figure.of(charge.room()))
                .given("jar to the brim", Figure.of(charge.vessel().capacity()))
                .standard("air to leave", Figure.ofPercent(charge.headspace() * 100))
                .result("room the jar gives", Figure.of(charge.roomAllowed()))
                .build();
    }
}
