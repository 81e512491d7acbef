package app.velvetcrock.pan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * All the pan's deeds in any order, dated anyhow, repeated, taken back, by two at once: what went into the pan is what came out of it and
 * what stays, always. As many makings as {@code -Dcrock.melts} says.
 */
@HttpTest
class PanMassHttpTest {

    private static final int MELTS =
            Integer.getInteger("crock.melts", Integer.getInteger("crock.cases", 1) > 1 ? 40 : 2);
    private static final int DEEDS = 22;

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    private Visitor tove;
    private String into = "";

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Masses");
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "sunflower", "amount", "9 L"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "4 kg"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "vitamin-e", "amount", "100 g"));
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "900"));
    }

    @Test
    void whatWentInIsWhatCameOutAndWhatStays() throws Exception {
        int refused = 0;
        int poured = 0;
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            for (int melt = 0; melt < MELTS; melt++) {
                Random any = new Random(461L + melt);
                String making = begin();
                for (int i = 0; i < DEEDS; i++) {
                    Map.Entry<String, Map<String, String>> deed = deed(making, any);
                    int times = 1 + any.nextInt(2);
                    List<Future<Answer>> sent = new ArrayList<>();
                    for (int again = 0; again < times; again++) {
                        sent.add(two.submit(() -> tove.post(deed.getKey(), deed.getValue())));
                    }
                    for (Future<Answer> answer : sent) {
                        assertThat(answer.get().status()).as(deed.toString()).isLessThan(500);
                        refused += answer.get().status() >= 400 ? 1 : 0;
                    }
                    poured += conserved(making, deed.toString());
                }
            }
        } finally {
            two.shutdownNow();
        }
        assertThat(refused).as("what cannot be is refused").isPositive();
        assertThat(poured).isPositive();
    }

    private String begin() {
        Document pan = tove.get("/pan").page();
        String oil = option(pan, "oil", "unflower");
        Document planned = tove.get("/pan?was=salve&kind=salve&much=300+g&add%5B0%5D.share=1+g&add%5B0%5D.of="
                        + option(pan, "add[0].of", "itamin") + "&oil=" + oil + "&into="
                        + option(pan, "into", "Round tin"))
                .page();
        Answer begun = tove.post(Visitor.form(planned, "#pan", Map.of()));
        assertThat(begun.path()).as(begun.page().select("#refused").text()).startsWith("/pan/0");
        into = option(pan, "into", "Round tin");
        return begun.path();
    }

    private static String option(Document page, String field, String word) {
        return page.select("select[name=\"" + field + "\"] option:contains(" + word + ")")
                .first()
                .attr("value");
    }

    private Map.Entry<String, Map<String, String>> deed(String making, Random any) {
        Map<String, String> said = new HashMap<>();
        said.put("key", UUID.randomUUID().toString());
        String[] whens = {
            "", "", "", "2026-11-24T08:30", "2026-11-24T09:03", "2026-11-24T15:00", "2026-11-23T20:00", "tomorrow 10:00"
        };
        said.put("when", whens[any.nextInt(whens.length)]);
        switch (any.nextInt(8)) {
            case 0 -> {
                said.put("amount", 1 + any.nextInt(40) + " g");
                said.put("of", "beeswax");
                return Map.entry(making + "/correct", said);
            }
            case 1 -> {
                said.put("where", "IN_AIR");
                return Map.entry(making + "/off-heat", said);
            }
            case 2 -> {
                said.put("temperature", 30 + any.nextInt(40) + " °C");
                return Map.entry(making + "/read", said);
            }
            case 3, 4, 5 -> {
                said.put("into", into);
                said.put("count", "" + (1 + any.nextInt(4)));
                said.put("each", 20 + any.nextInt(60) + " g");
                return Map.entry(making + "/pour", said);
            }
            case 6 -> {
                said.put("of", "0");
                return Map.entry(making + "/add", said);
            }
            default -> {
                List<Element> undo = tove.get(making).page().select("form[action$=undo]");
                return undo.size() < 2
                        ? Map.entry(making + "/note", Map.of("words", "nothing to take back", "key", said.get("key")))
                        : Map.entry(undo.get(any.nextInt(undo.size() - 1)).attr("action"), Map.of());
            }
        }
    }

    /** Of the lines that hold: all that went in, with what the scale found more, is what was filled, what stays and what stuck. */
    private int conserved(String making, String after) {
        UUID id = UUID.fromString(making.substring("/pan/".length()));
        double in = held(
                id,
                """
                case e.value->'step'->>'what'
                when 'begun' then (select sum((p->'part'->'mass'->>'grams')::numeric) from jsonb_array_elements(e.value->'step'->'parts') p)
                when 'corrected' then (e.value->'step'->'more'->'mass'->>'grams')::numeric
                when 'added' then (e.value->'step'->'addition'->'mass'->>'grams')::numeric else 0 end""");
        double filled = held(
                id,
                """
                case e.value->'step'->>'what' when 'poured' then (select sum((f->>'count')::int * (f->'each'->>'grams')::numeric)
                from jsonb_array_elements(e.value->'step'->'filled') f) else 0 end""");
        double stays = moved(id, "l.kind_key in ('melt', 'left-in-the-pan')");
        double stuck =
                -moved(id, "m.cause = 'DISCARDED' and not exists (select 1 from movement r where r.reverses = m.id)");
        double more =
                moved(id, "m.cause = 'CORRECTED' and not exists (select 1 from movement r where r.reverses = m.id)");
        assertThat(in + more).as("%s of %s", after, making).isEqualTo(filled + stays + stuck, within(0.01));
        assertThat(more).as("no more than a scale is off").isLessThan(2.6);
        return filled > 0 ? 1 : 0;
    }

    private double held(UUID id, String grams) {
        return sql.sql("select coalesce(sum(" + grams
                        + "), 0) from batch_entry e where e.batch_id = :batch and e.kind = 'PAN' and not exists "
                        + "(select 1 from batch_entry t where t.corrects_id = e.id)")
                .param("batch", id)
                .query(Double.class)
                .single();
    }

    private double moved(UUID id, String which) {
        return sql.sql("select coalesce(sum(m.amount), 0) / 1000.0 from movement m join lot l on l.id = m.lot_id "
                        + "where l.batch_id = :batch and l.unit <> 'PIECE' and " + which)
                .param("batch", id)
                .query(Double.class)
                .single();
    }
}
