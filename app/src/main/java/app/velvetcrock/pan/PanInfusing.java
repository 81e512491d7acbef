package app.velvetcrock.pan;

import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Decimals;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/** A formula whose oils and butters are to have a herb infused in them first: they are mixed at the Bench as they stand here. */
final class PanInfusing {

    private static final int MOST = 4;
    private static final double PERCENT = 100;

    private PanInfusing() {}

    private record Fat(PanThing thing, double millilitres) {}

    /** The Bench's address; empty where an oil or butter of it is not in the stores, or is infused already. */
    static String bench(PanPlanner.Planned planned) {
        Map<String, PanThing> byKey = PanPlanner.things(planned.read());
        List<Fat> fats = new ArrayList<>();
        for (Formula.Part part : planned.read().melt().formula().parts()) {
            PanThing thing = Objects.requireNonNull(byKey.get(part.stuff().key()));
            if (part.stuff().role() != Formula.Role.WAX) {
                fats.add(new Fat(thing, thing.density().volumeOf(part.mass()).millilitres()));
            }
        }
        boolean plain = fats.stream()
                .allMatch(fat -> fat.thing().isHere()
                        && fat.thing().batch().isEmpty()
                        && fat.thing().supply().isEmpty());
        if (!plain || fats.isEmpty() || fats.size() > MOST) {
            return "";
        }
        double whole = fats.stream().mapToDouble(Fat::millilitres).sum();
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/bench")
                .queryParam("carrier", fats.get(0).thing().name())
                .queryParam("oil", "{oil}");
        List<String> values = new ArrayList<>(List.of(Math.round(whole) + " mL"));
        for (int i = 1; i < fats.size(); i++) {
            address.queryParam(
                            "mix.more%5B" + (i - 1) + "%5D.carrier",
                            fats.get(i).thing().name())
                    .queryParam("mix.more%5B" + (i - 1) + "%5D.share", "{share" + i + "}");
            values.add(Decimals.upTo(PERCENT * fats.get(i).millilitres() / whole, 1) + " %");
        }
        String raw = address.build(false).toUriString();
        for (int i = 0; i < values.size(); i++) {
            String name = i == 0 ? "{oil}" : "{share" + i + "}";
            raw = raw.replace(name, UriUtils.encode(values.get(i), StandardCharsets.UTF_8));
        }
        return raw;
    }
}
