package app.velvetcrock.core.planning;

import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a batch really came to its end.
 *
 * @param peak hottest reading, where heat was read
 * @param toppedUp bottles that more oil was poured from
 */
public record Finish(
        LocalDate strained, Storage storage, Aftermath after, Optional<Temperature> peak, List<Bottle> toppedUp) {

    public Finish {
        toppedUp = List.copyOf(toppedUp);
    }

    /** As it would come to its end if all goes as planned. */
    public static Finish asPlanned(PlanRequest request, LocalDate strained) {
        return new Finish(strained, request.circumstances().storage(), Aftermath.NONE, Optional.empty(), List.of());
    }

    public Finish kept(Storage elsewhere, Aftermath otherwise) {
        return new Finish(strained, elsewhere, otherwise, peak, toppedUp);
    }

    /**
     * Filled into a bottle and put somewhere: light reaches it through clear glass in a room or where it is warm.
     *
     * @param water whether water was decanted off it
     */
    public Finish bottled(Storage place, Glass glass, boolean water, Antioxidant with) {
        boolean light = glass == Glass.CLEAR && (place == Storage.ROOM || place == Storage.WARM);
        return kept(place, new Aftermath(water, after.scorched(), light, with));
    }

    Bottle shortestBottle(PlanRequest request) {
        LocalDate poured = request.circumstances().start();
        return Stream.concat(Stream.of(request.carrier().bottle()), toppedUp.stream())
                .min(Comparator.comparing(bottle -> bottle.end(poured)))
                .orElseThrow();
    }
}
