package app.velvetcrock.pan;

import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.PanThing;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.web.util.UriUtils;

/** A formula whose oils and butters are to have a herb infused in them first: they are mixed at the Bench as they stand here. */
final class PanInfusing {

    private static final int MOST = 4;
    private static final double PERCENT = 100;

    private PanInfusing() {}

    private record Fat(PanThing thing, double millilitres) {}

    /** The Bench's address; empty where an oil or butter of it is not in the stores, or is infused already. */
    static String bench(MixPlan planned) {
        Map<String, PanThing> byKey = planned.read().things();
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
        Map<String, String> said = new LinkedHashMap<>();
        said.put("carrier", fats.get(0).thing().name());
        said.put("oil", Math.round(whole) + " mL");
        for (int i = 1; i < fats.size(); i++) {
            String row = "mix.more[%d].".formatted(i - 1);
            said.put(row + "carrier", fats.get(i).thing().name());
            said.put(row + "share", Decimals.upTo(PERCENT * fats.get(i).millilitres() / whole, 1) + " %");
        }
        return said.entrySet().stream()
                .map(one -> encoded(one.getKey()) + "=" + encoded(one.getValue()))
                .collect(Collectors.joining("&", "/bench?", ""));
    }

    private static String encoded(String text) {
        return UriUtils.encode(text, StandardCharsets.UTF_8);
    }
}
