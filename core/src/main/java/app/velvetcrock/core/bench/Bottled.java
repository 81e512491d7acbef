package app.velvetcrock.core.bench;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.planning.FirstInfusion;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import java.util.Optional;
import java.util.UUID;

/** Something to pour over a herb: a bottle, or an oil infused before. */
public record Bottled(UUID id, PlannedCarrier carrier, Mass left) {

    public Density density() {
        return carrier.kind().density();
    }

    /** A carrier bottle. */
    public static Bottled of(Stock.OfCarrier bottle) {
        return new Bottled(
                bottle.id(),
                new PlannedCarrier(
                        bottle.kind(),
                        new Bottle(bottle.name(), bottle.kind().monthsOpened(), bottle.opened(), bottle.bestBefore())),
                bottle.left());
    }

    /** A finished oil with what it carries of its first herb; its own date is the bottle's best before. */
    public static Bottled of(Stock.OfOil oil, PlanRequest request, FirstInfusion first) {
        Bottle bottle = new Bottle(
                oil.name(),
                request.carrier().kind().monthsOpened(),
                request.carrier()
                        .bottle()
                        .opened()
                        .or(() -> Optional.of(request.circumstances().start())),
                Optional.of(oil.useBy()));
        return new Bottled(
                oil.id(), new PlannedCarrier(request.carrier().kind(), bottle, Optional.of(first)), oil.left());
    }
}
