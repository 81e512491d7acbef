package app.velvetcrock.stores;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

@HttpTest
class LotHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String nettle;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Lots");
        nettle = tove.get("/stores").page().select("a:contains(Nettle)").attr("href");
    }

    /** 200 g: 80 ground give 72, which bear the cost of the 80; the cup weighed of the old cut does not hold for the ground. */
    @Test
    void grindingMakesALotOfItsOwnLighterByWhatWasLostAndUndoPutsItBack() {
        tove.submit(nettle, "#do-cup", Map.of("filled", "1 cup", "weight", "30 g"));
        assertThat(tove.get(nettle).page().select("tr:contains(A cup weighs)").text())
                .contains("30 g, loosely filled your own");
        Answer ground = tove.submit(nettle, "#do-process", Map.of("amount", "80 g", "cut", "GROUND", "out", "72 g"));
        assertThat(ground.page().select("#lot-left").text()).isEqualTo("120 g left");
        String fresh = ground.page().select("tr:contains(Became) a").attr("href");
        Document became = tove.get(fresh).page();
        assertThat(became.select("#lot-left").text()).isEqualTo("72 g left");
        assertThat(became.select("tr:contains(State)").text()).contains("ground");
        // ground lies at 0.30 g/mL: 75 g to a metric cup of 250 mL
        assertThat(became.select("tr:contains(A cup weighs)").text()).contains("75 g, loosely filled estimate");
        assertThat(became.select("tr:contains(Made from) a").attr("href")).isEqualTo(nettle);
        Answer undone = tove.post(Visitor.form(ground.page(), ".notice form", Map.of()));
        assertThat(undone.page().text()).contains("Taken back");
        assertThat(tove.get(nettle).page().select("#lot-left").text()).isEqualTo("200 g left");
        assertThat(tove.get(fresh).page().select("#lot-left").text()).isEqualTo("0 g left");
    }

    @Test
    void splitMergedDrawnCorrectedAndThrownOutTheStoryTellsAllOfIt() {
        tove.submit(nettle, "#do-split", Map.of("amount", "50 g", "keptAt", "freezer"));
        String part = tove.get(nettle).page().select("tr:contains(Became) a").attr("href");
        assertThat(tove.get(part).page().select("tr:contains(Kept)").text()).contains("freezer");
        tove.submit(nettle, "#do-draw", Map.of("amount", "20 g", "why", "GIVEN", "note", "to the neighbour"));
        tove.submit(nettle, "#do-correct", Map.of("amount", "125 g", "note", "weighed it again"));
        Document story = tove.get(nettle).page();
        assertThat(story.select("#story").text())
                .contains(
                        "brought in",
                        "split off",
                        "− 50 g",
                        "given away: to the neighbour",
                        "− 20 g",
                        "corrected: weighed it again",
                        "− 5 g");
        assertThat(story.select("#lot-left").text()).isEqualTo("125 g left");
        Answer merged = tove.submit(nettle, "#do-merge", Map.of());
        String both = merged.page().select("tr:contains(Became) td a").last().attr("href");
        assertThat(tove.get(both).page().select("#lot-left").text()).isEqualTo("175 g left");
        tove.submit(both, "#do-discard", Map.of("note", "moths got into it"));
        assertThat(tove.get(both).page().select("#story").text()).contains("discarded: moths got into it");
        assertThat(tove.get("/stores").page().text()).contains("Begin with one dried herb");
        // Half a bottle of 16.00 that is thrown out cost 8.00.
        tove.submit(
                "/stores", "form[action$=carriers]", Map.of("carrier", "olive", "amount", "1 kg", "price", "16.00"));
        String olive = tove.get("/stores").page().select("a:contains(Olive)").attr("href");
        tove.submit(olive, "#do-draw", Map.of("amount", "500 g", "why", "DRAWN"));
        tove.submit(olive, "#do-discard", Map.of("note", "went off"));
        assertThat(tove.get(olive).page().select("#story").text())
                .containsPattern("discarded: went off, which cost \\S*8\\.00");
    }

    /** Half a kilo for 9.00: 1.80 for 100 g. 20 g in a batch cost 0.36; the oil has no price, and that is said. */
    @Test
    void costsFollowALotIntoItsBatch() {
        tove.submit(
                "/stores",
                "form[action$=herbs]",
                Map.of(
                        "herb",
                        "Yarrow",
                        "amount",
                        "500 g",
                        "price",
                        "9,00",
                        "cameFrom",
                        "a quay stall",
                        "keptAt",
                        "tin box"));
        String yarrow = tove.get("/stores").page().select("a:contains(Yarrow)").attr("href");
        assertThat(tove.get(yarrow).page().select(".went").text())
                .contains("9.00 EUR, 1.80 EUR for 100 g", "a quay stall", "tin box");
        String id = yarrow.substring("/stores/lots/".length());
        assertThat(tove.get("/bench?amount=20+g&herb=" + id)
                        .page()
                        .select("#plan-cost")
                        .text())
                .isEqualTo("0.36 EUR for what has a price; not Cold-pressed rapeseed");
        String batch = tove.post(
                        Visitor.form(tove.get("/bench?amount=20+g&herb=" + id).page(), "#bench", Map.of()))
                .path();
        assertThat(tove.get(yarrow).page().select("#story").text()).contains("used in a batch: number 1", "− 20 g");
        assertThat(tove.get(batch).page().select("#batch-cost").text())
                .isEqualTo("0.36 EUR without Cold-pressed rapeseed, whose price is not known");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            do-draw    | d-amount | amount | 300 g      | 200 g is left
            do-draw    | d-amount | amount | 1,500 g    | thousands or a decimal
            do-draw    | d-amount | amount | a handful  | different amount in every hand
            do-draw    | d-amount | amount | 0 g        | 200 g is left
            do-split   | s-amount | amount | ''         | nothing is written
            do-process | p-amount | amount | 900 g      | 200 g is left
            do-correct | r-note   | note   | ''         | Nothing is written
            do-discard | x-note   | note   | ''         | Nothing is written
            do-cup     | c-weight | weight | 900 g      | a herb lies between
            do-cup     | c-filled | filled | 30 g       | needs a volume
            """)
    void saysWhatIsWrongBesideTheFieldAndMovesNothing(
            String form, String note, String field, String typed, String words) {
        Map<String, String> good = new HashMap<>(
                Map.of("amount", "50 g", "note", "a reason", "filled", "1 cup", "weight", "30 g", "cut", "GROUND"));
        good.put(field, typed);
        Answer answer = tove.submit(nettle, "#" + form, good);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + note).text()).contains(words);
        assertThat(answer.page().getElementById(note).attr("value")).isEqualTo(typed);
        assertThat(tove.get(nettle).page().select("#lot-left").text()).isEqualTo("200 g left");
    }

    @Test
    void allOfALotIsNoPartAndMoreThanWentInDoesNotComeOut() {
        assertThat(tove.submit(nettle, "#do-split", Map.of("amount", "200 g"))
                        .page()
                        .text())
                .contains("That is all of “Nettle”");
        assertThat(tove.submit(nettle, "#do-process", Map.of("amount", "50 g", "cut", "GROUND", "out", "60 g"))
                        .page()
                        .text())
                .contains("more than went in");
        assertThat(tove.get(nettle).page().select("#lot-left").text()).isEqualTo("200 g left");
    }

    @Test
    void twoTapsTakeOnce() {
        Visitor.Filled form = Visitor.form(tove.get(nettle).page(), "#do-draw", Map.of("amount", "30 g"));
        tove.post(form);
        tove.post(form);
        assertThat(tove.get(nettle).page().select("#lot-left").text()).isEqualTo("170 g left");
    }

    @Test
    void ofTwoWhoTakeMostOfALotAtOnceOneIsTold() {
        Document page = tove.get(nettle).page();
        List<CompletableFuture<Answer>> both = Stream.of("150 g", "160 g")
                .map(amount -> Visitor.form(tove.get(nettle).page(), "#do-draw", Map.of("amount", amount)))
                .map(form -> CompletableFuture.supplyAsync(() -> tove.post(form)))
                .toList();
        List<Integer> answers = both.stream()
                .map(CompletableFuture::join)
                .map(Answer::status)
                .sorted()
                .toList();
        // one takes; the other is told, before or after the form was read
        assertThat(answers.get(0)).isEqualTo(200);
        assertThat(answers.get(1)).isIn(409, 422);
        assertThat(tove.get(nettle).page().select("#lot-left").text()).isIn("50 g left", "40 g left");
        assertThat(page.select("#lot-left").text()).isEqualTo("200 g left");
    }

    @Test
    void whatOnePicksIsAskedAboutWhereAPoisonousPlantLooksLikeIt() {
        Map<String, String> picked = Map.of("herb", "Comfrey", "amount", "100 g", "origin", "GATHERED");
        Answer asked = tove.submit("/stores", "form[action$=herbs]", picked);
        assertThat(asked.status()).isEqualTo(422);
        assertThat(asked.page().select("#note-h-sure").text()).contains("mistaken for foxglove");
        Map<String, String> sure = new HashMap<>(picked);
        sure.put("sure", "yes");
        assertThat(tove.submit("/stores", "form[action$=herbs]", sure)
                        .page()
                        .select("main table")
                        .text())
                .contains("Comfrey");
        assertThat(tove.submit(
                                "/stores",
                                "form[action$=herbs]",
                                Map.of("herb", "Comfrey", "amount", "100 g", "origin", "BOUGHT"))
                        .status())
                .isEqualTo(200);
    }

    /** 498 g of water fill it: 498 ÷ 0.998 = 499 mL. */
    @Test
    void aJarIsMeasuredByTheWaterThatFillsIt() {
        Answer added = tove.submit(
                "/stores", "form[action$=jars]", Map.of("capacity", "", "water", "498 g", "width", "80 mm"));
        assertThat(added.page().select("main").text()).contains("499 mL jar");
    }

    /** A jar nobody measured is not put away by a guess: the usual width stands beside the field to be taken by a tap. */
    @Test
    void aJarWithoutItsWidthIsOfferedTheUsualOne() {
        Answer refused = tove.submit(
                "/stores", "form[action$=jars]", Map.of("capacity", "500 mL", "width", "", "name", "Found"));
        Element offer = refused.page().selectFirst("#note-j-width button");
        assertThat(offer.text()).isEqualTo("82 mm, usual for such a jar");
        assertThat(offer.attr("data-fill")).isEqualTo("82 mm, usual");
        assertThat(offer.attr("data-into")).isEqualTo("j-width");
        tove.post(Visitor.form(refused.page(), "form[action$=jars]", Map.of("width", offer.attr("data-fill"))));
        assertThat(tove.get("/stores").page().select("tr:contains(Found)").text())
                .contains("82 mm across");
    }

    @Test
    void aLongListIsCutAndCounted() {
        Visitor.Filled form = Visitor.form(
                tove.get("/stores").page(),
                "form[action$=herbs]",
                Map.of("herb", "Yarrow", "amount", "20 g", "cut", "GROUND"));
        for (int i = 0; i < 64; i++) {
            Map<String, String> another = new HashMap<>(form.fields());
            another.put("key", UUID.randomUUID().toString());
            tove.post(new Visitor.Filled(form.action(), another));
        }
        Document page = tove.get("/stores").page();
        assertThat(page.select(".forms table").first().select("tr")).hasSize(25);
        assertThat(page.select("#more-herbs").text()).isEqualTo("40 more");
        assertThat(tove.get("/stores?only=nettle").page().select("#more-herbs")).isEmpty();
    }

    @Test
    void aLotSaysWhatToBewareOf() {
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "50 g"));
        String yarrow = tove.get("/stores").page().select("a:contains(Yarrow)").attr("href");
        assertThat(tove.get(yarrow).page().select(".caution").text()).contains("Daisy family", "Look-alike: hemlock");
    }

    @Test
    void listsAreShownByNameAndOrder() {
        tove.submit(
                "/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "50 g", "acquired", "2026-01-10"));
        assertThat(tove.get("/stores?only=urtica")
                        .page()
                        .select(".forms table")
                        .first()
                        .text())
                .contains("Nettle")
                .doesNotContain("Yarrow");
        assertThat(tove.get("/stores?sort=LEAST_LEFT")
                        .page()
                        .select(".forms table")
                        .first()
                        .select("b")
                        .eachText())
                .containsExactly("Yarrow", "Nettle");
        assertThat(tove.get("/stores?only=zzz").page().text()).contains("No herb goes by “zzz”");
    }
}
