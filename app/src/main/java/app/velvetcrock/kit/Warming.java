package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.heat.SourceLearned;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.timetable.HomeHours;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** How long a session of heat warms up before it earns, by what the source that gives it was seen to do. */
@Component
public class Warming {

    private final KitShelf kit;
    private final SourceCurves curves;

    Warming(KitShelf kit, SourceCurves curves) {
        this.kit = kit;
        this.curves = curves;
    }

    /**
     * The household's hours with the warm-up of what heats a way; as they are where nothing is learned of it, or nobody said which of
     * several it is.
     *
     * @param stand the vessel it stands in
     * @param charge what is in it
     */
    public HomeHours of(HomeHours home, Method way, UUID stand, Charge charge) {
        Optional<Stage> heated = way.stages().stream().filter(Stage::isHeated).findFirst();
        if (heated.isEmpty()) {
            return home;
        }
        Map<UUID, List<SourceCurve>> shown = curves.all();
        return shown.isEmpty()
                ? home
                : kit.sourceOf(way.sources(), stand)
                        .flatMap(source -> SourceLearned.warmUp(
                                shown.getOrDefault(source.id(), List.of()), kit.load(way, charge), heated.get()))
                        .map(home::warmingUpIn)
                        .orElse(home);
    }

    /**
     * A source as it is turned now, under a stage of a way.
     *
     * @param setting absent where it was never said
     * @param from how warm the oil was read in this session; absent where it was not read yet
     */
    public record Turned(
            Method way,
            Stage stage,
            UUID stand,
            Charge charge,
            Optional<HeatSetting> setting,
            Optional<Temperature> from) {}

    /** What a source is known to do that the stage does not bear; empty where it bears it, or nothing is known. */
    public Optional<String> warning(Turned turned, Wording say) {
        Map<UUID, List<SourceCurve>> shown = curves.all();
        return shown.isEmpty()
                ? Optional.empty()
                : kit.sourceOf(turned.way().sources(), turned.stand())
                        .flatMap(source -> SourceLearned.warning(
                                source.kit().name(),
                                shown.getOrDefault(source.id(), List.of()),
                                kit.load(turned.way(), turned.charge()),
                                turned.setting(),
                                turned.stage(),
                                turned.from(),
                                say));
    }
}
