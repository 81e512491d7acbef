package app.velvetcrock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;

/** What the main deeds take, each with the page it leads to: start, shake, strain, draw. For measuring alone. */
final class DeedBenchmark {

    private static final int WARM_UPS = 8;
    private static final int ROUNDS = 25;

    private final Visitor runa;

    DeedBenchmark(Visitor runa) {
        this.runa = runa;
    }

    /** Brings in enough for all rounds. */
    void stock() {
        runa.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "2 kg"));
        runa.submit("/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "20 L"));
    }

    /** The median of each, in ms. */
    Map<String, Double> run() {
        Map<String, List<Long>> times = new LinkedHashMap<>();
        for (int i = 0; i < WARM_UPS + ROUNDS; i++) {
            Map<String, List<Long>> kept = i < WARM_UPS ? new LinkedHashMap<>() : times;
            var bench = runa.get("/bench").page();
            String herb = bench.select("#herb option:contains(Nettle):contains(dried)")
                    .last()
                    .attr("value");
            String olive = bench.select("#carrier option:contains(Olive)").attr("value");
            var form = Visitor.form(
                    runa.get("/bench?amount=8+g&method=cold-dark&herb=" + herb + "&carrier=" + olive)
                            .page(),
                    "#bench",
                    Map.of());
            String batch = timed("start", kept, () -> runa.post(form)).path();
            timed("shake", kept, () -> runa.post(batch + "/tasks/stand.shake.1", Map.of("key", key())));
            var strain = Visitor.form(
                    runa.get(batch.replace("/batch/", "/press/")).page(), "form[action*=press]", Map.of("out", "90 g"));
            var strained = timed("strain", kept, () -> runa.post(strain));
            String oil = strained.page().select("a[href^=/cupboard/]").attr("href");
            var draw = Visitor.form(runa.get(oil).page(), "form[action$=draw]", Map.of("amount", "10 mL"));
            timed("draw", kept, () -> runa.post(draw));
        }
        Map<String, Double> medians = new LinkedHashMap<>();
        times.forEach((deed, all) -> medians.put(
                deed, all.stream().sorted().skip(all.size() / 2).findFirst().orElse(0L) / 1e6));
        return medians;
    }

    private static String key() {
        return UUID.randomUUID().toString();
    }

    private static Visitor.Answer timed(String deed, Map<String, List<Long>> times, Supplier<Visitor.Answer> does) {
        long began = System.nanoTime();
        Visitor.Answer answer = does.get();
        times.computeIfAbsent(deed, first -> new ArrayList<>()).add(System.nanoTime() - began);
        if (answer.status() != 200) {
            throw new IllegalStateException(
                    deed + " answered " + answer.status() + ": " + answer.page().text());
        }
        return answer;
    }
}
