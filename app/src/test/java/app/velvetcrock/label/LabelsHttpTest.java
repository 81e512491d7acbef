package app.velvetcrock.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.door.OwnAddress;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.assertj.core.api.Assertions;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is printed is what is seen: the page's drawing and the PDF say the same in the same places. */
@HttpTest
class LabelsHttpTest {

    private static final double POINTS = 72 / 25.4;

    @LocalServerPort
    int port;

    private Visitor tove;
    private String batch;

    @BeforeEach
    void charged() {
        tove = Visitor.stocked(port, "Labelled");
        batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
    }

    private HttpResponse<byte[]> raw(Visitor who, String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Cookie", who.cookie())
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }

    private byte[] pdf(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = raw(tove, path);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/pdf");
        return answer.body();
    }

    private String of(int copies) {
        return "of=" + batch.replace("/batch/", "batch.") + "." + copies;
    }

    /** Prints what a page shows, as its button does, and tells the page of what was printed. */
    private Answer print(Document page) {
        StringBuilder body = new StringBuilder("x=");
        for (Element field : page.select("#print input")) {
            body.append('&').append(field.attr("name")).append('=').append(Visitor.encode(field.attr("value")));
        }
        return tove.post("/labels/print?" + body, Map.of());
    }

    private byte[] sheets(Answer job) throws IOException, InterruptedException {
        return pdf(job.page().select("a[href$=sheets.pdf]").attr("href"));
    }

    private static String said(PDDocument document) throws IOException {
        return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }

    @Test
    void theSheetIsPrintedFromTheLabelTappedAndReadsAsThePageShowsIt() throws IOException, InterruptedException {
        String sheet = tove.get(batch + "/label").page().select("#on-a-sheet").attr("href");
        Document page = tove.get(sheet.replace(".1", ".3")).page();
        assertThat(page.select(".caution").text()).contains("all of it fits");
        Document fifth = tove.get(page.select("#sheet0 a").get(4).attr("href")).page();
        assertThat(fifth.select(".label-cell.used")).hasSize(4);
        Element group = fifth.select("#sheet0 > g").first();
        assertThat(group.attr("transform")).isEqualTo("translate(73.2 46.8)");
        String code = fifth.select("#print input[name=code]").attr("value");
        Answer printed = print(fifth);
        assertThat(printed.page().text()).contains("3 × Nettle", code);
        byte[] bytes = sheets(printed);
        try (PDDocument document = Loader.loadPDF(bytes)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Labels: Nettle");
            assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en");
            List<TextPosition> signs = new ArrayList<>();
            PDFTextStripper stripper = new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition text) {
                    signs.add(text);
                    super.processTextPosition(text);
                }
            };
            String text = stripper.getText(document).replaceAll("\\s+", " ");
            assertThat(text.split("Urtica dioica", -1)).as("three of them").hasSize(4);
            assertThat(text).contains("40 g herb", "Patch test first", "Batch 1", "label " + code);
            agrees(group, signs);
            assertThat(scanned(document, 73.2, 46.8))
                    .as("its code, read off the paper")
                    .isEqualTo(code);
        }
        assertThat(tove.get("/labels").page().select("#due").text()).doesNotContain("Nettle");
    }

    /** What a telephone reads off a label of 63.5 by 33.9 mm that stands there on the sheet. */
    private static String scanned(PDDocument document, double x, double y) throws IOException {
        double dots = 300 / 25.4;
        BufferedImage sheet = new PDFRenderer(document).renderImageWithDPI(0, 300, ImageType.RGB);
        int left = (int) (x * dots);
        int top = (int) (y * dots);
        int wide = (int) (63.5 * dots);
        int high = (int) (33.9 * dots);
        int[] pixels = sheet.getRGB(left, top, wide, high, null, 0, wide);
        try {
            return new QRCodeReader()
                    .decode(
                            new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(wide, high, pixels))),
                            Map.of(DecodeHintType.TRY_HARDER, true))
                    .getText();
        } catch (ReaderException unread) {
            throw new AssertionError("the code cannot be read off the paper", unread);
        }
    }

    /** Every sign of the drawing stands in the PDF within a tenth of a millimetre. */
    private static void agrees(Element group, List<TextPosition> signs) {
        int checked = 0;
        for (Element run : group.select("text")) {
            String[] xs = run.attr("x").split(" ");
            int[] codes = run.wholeText().codePoints().toArray();
            assertThat(codes).hasSize(xs.length);
            for (int i = 0; i < codes.length; i++) {
                if (codes[i] == ' ') {
                    continue;
                }
                double x = (73.2 + Double.parseDouble(xs[i])) * POINTS;
                double y = (46.8 + Double.parseDouble(run.attr("y"))) * POINTS;
                String sign = Character.toString(codes[i]);
                assertThat(signs)
                        .as(sign)
                        .anyMatch(one -> one.getUnicode().equals(sign)
                                && Math.abs(one.getXDirAdj() - x) < 0.1 * POINTS
                                && Math.abs(one.getYDirAdj() - y) < 0.1 * POINTS);
                checked++;
            }
        }
        assertThat(checked).isGreaterThan(60);
    }

    @Test
    void aSmallPaperSaysWhatItTakesAndWhatIsNoQueueIsNoError() throws IOException, InterruptedException {
        assertThat(tove.get("/labels?" + of(2) + ".sale&paper=a4-5x13")
                        .page()
                        .select(".caution")
                        .text())
                .containsAnyOf("labels; the second goes on", "Not on this paper");
        assertThat(tove.get("/labels").page().text()).contains("Nothing is to be printed");
        for (String odd : List.of(
                "of=batch.x.1",
                "of=lot.." + "&from=-3",
                "of=" + "batch.1".repeat(500),
                "paper=%3Cscript%3E&from=9e99&right=NaN&down=1e400",
                "n=4&on=a&to=b&code=%F0%9F%8C%BF",
                "of=batch.00000000-0000-0000-0000-000000000001.99999999999")) {
            assertThat(tove.get("/labels?" + odd).status()).as(odd).isLessThan(500);
            assertThat(tove.post("/labels/print?" + odd, Map.of()).status())
                    .as(odd)
                    .isIn(404, 409, 422);
        }
        Document many = tove.get("/labels?" + of(9999)).page();
        assertThat(many.select("#print button").text()).isEqualTo("Print 1000 on 42 sheets");
        Answer job = print(many);
        String progress = job.page().select("[hx-get$=progress]").attr("hx-get");
        Answer drawn = tove.get(progress);
        for (int i = 0; i < 200 && drawn.page().select("a[href$=sheets.pdf]").isEmpty(); i++) {
            assertThat(drawn.page().select("progress").attr("max")).isEqualTo("1000");
            Thread.sleep(50);
            drawn = tove.get(progress);
        }
        byte[] all = sheets(drawn);
        assertThat(all.length)
                .as("faces are embedded once, only what is used of them, and each label is drawn once")
                .isLessThan(500_000);
        try (PDDocument document = Loader.loadPDF(all)) {
            assertThat(document.getNumberOfPages()).isEqualTo(42);
            assertThat(said(document).split("Urtica dioica", -1)).hasSize(1001);
        }
    }

    /** Strangers see the sign-in; another household finds nothing; its own sees the thing, the words, when and by whom. */
    @Test
    void aCodeOpensTheThingAndTheLabelAsItWasPrinted() throws IOException, InterruptedException {
        Answer job = print(tove.get("/labels?" + of(2)).page());
        String code = job.page().select("a[href^=/q/]").attr("href");
        Document read = tove.get(code).page();
        assertThat(read.select("#thing").attr("href")).isEqualTo(batch);
        assertThat(read.select("#said").text()).contains("Urtica dioica", "Patch test first");
        assertThat(read.text())
                .contains("Printed 24 Nov 2026", "by Tove", "2 of them")
                .doesNotContain("Not true any more");
        String typed = code.substring(3).toLowerCase(Locale.ROOT);
        assertThat(tove.get("/q?code=+" + typed.substring(0, 4) + "-" + typed.substring(4))
                        .path())
                .isEqualTo(code);
        assertThat(new Visitor(port).get(code).path()).startsWith("/sign-in");
        assertThat(Visitor.household(port, "Elsewhere").get(code).status()).isEqualTo(404);
        for (String odd :
                List.of("/q/ABC", "/q/00000000", "/q?code=", "/q?code=" + "A".repeat(5000), "/q/%F0%9F%8C%BF")) {
            assertThat(tove.get(odd).status()).as(odd).isEqualTo(404);
        }
        assertThat(raw(tove, job.page().select("a[href$=/paper]").attr("href") + ".css")
                        .body())
                .asString(StandardCharsets.UTF_8)
                .contains("size: 210.00mm 297.00mm");
        assertThat(tove.get(job.page().select("a[href$=/paper]").attr("href"))
                        .page()
                        .select("svg.whole g text"))
                .hasSizeGreaterThan(10);
        tove.post(job.path() + "/undo", Map.of());
        assertThat(tove.get(code).page().text()).contains("taken back since");
        assertThat(tove.get("/labels").page().select("#due").text()).contains("Nettle");
    }

    /** What was gathered hangs in a bag that says nothing, until it has a label; what was bought says what it is. */
    @Test
    void whatWasGatheredWantsALabel() {
        for (String[] herb : new String[][] {
            {"Comfrey", "GATHERED", "2026-11-20"},
            {"Yarrow", "BOUGHT", "2026-11-20"},
            {"Elder", "GATHERED", "2026-10-01"}
        }) {
            tove.submit(
                    "/stores",
                    "form[action$=herbs]",
                    Map.of("herb", herb[0], "amount", "90 g", "origin", herb[1], "acquired", herb[2], "sure", "yes"));
        }
        Document due = tove.get("/labels").page();
        assertThat(due.select("#due li").text()).contains("Comfrey").doesNotContain("Yarrow", "Elder");
        print(tove.get(due.select("#due li:contains(Comfrey) a").first().attr("href"))
                .page());
        assertThat(tove.get("/labels").page().select("#due").text()).doesNotContain("Comfrey");
    }

    /** By hand it is labelled as well; what is found wrong afterwards stands on no label, and is asked for. */
    @Test
    void aLabelThatIsNoLongerTrueIsAskedForAnew() {
        assertThat(tove.get("/shelf").page().select(".to-label").text()).isEqualTo("To label: Nettle");
        Document hand = tove.get(tove.get("/labels?" + of(1))
                        .page()
                        .select("a[href*=by-hand]")
                        .attr("href"))
                .page();
        assertThat(hand.select(".huge").text())
                .contains("Nettle", "Charged 24 Nov 2026", "Patch test first", "Batch 1");
        tove.post(Visitor.form(hand, "form[action$=by-hand]", Map.of()));
        assertThat(tove.get("/shelf").page().select(".to-label")).isEmpty();
        tove.post(batch + "/look", Map.of("smell", "RIGHT", "cover", "UNDER", "mould", "YES"));
        assertThat(tove.get("/shelf").page().select(".to-label").text()).isEqualTo("To label: ! Nettle anew");
        Document due = tove.get("/labels").page();
        assertThat(due.select("#due li.untrue").text()).contains("its label does not say what is wrong");
        Document anew =
                tove.get(due.select("#due li.untrue a").first().attr("href")).page();
        assertThat(anew.select(".label-read text").text()).contains("! ").contains("keep back");
        print(anew);
        assertThat(tove.get("/shelf").page().select(".to-label")).isEmpty();
    }

    @Test
    void aLidHasItsDotOnAPaperOfItsOwnAndABatchItsSheet() throws IOException, InterruptedException {
        String bare = batch.replace("/batch/", "");
        Document page = tove.get("/labels?of=batch.%1$s.1&of=dot.%1$s.2&of=sheet.%1$s.1".formatted(bare))
                .page();
        assertThat(page.select("figcaption").eachText())
                .hasSize(3)
                .anyMatch(words -> words.contains("round"))
                .anyMatch(words -> words.contains("one on a sheet"));
        assertThat(page.select("#print button").text()).isEqualTo("Print 4 on 3 sheets");
        Answer job = print(page);
        List<String> pdfs = job.page().select("a[href$=sheets.pdf]").eachAttr("href");
        assertThat(pdfs).hasSize(3);
        try (PDDocument dots = Loader.loadPDF(pdf(pdfs.get(1)))) {
            assertThat(said(dots)).contains("Nettle", "batch 1", "29 Dec 2026");
        }
        try (PDDocument sheet = Loader.loadPDF(pdf(pdfs.get(2)))) {
            assertThat(said(sheet)).contains("Urtica dioica", "Strain: ____");
        }
    }

    @Test
    void aMadeThingIsPrintedWithItsMarkAndFiguresOfTheirHeightForSale() {
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        String bottle = tove.get("/cupboard").page().select("a.bottle").attr("href");
        tove.submit(
                "/labels/look",
                "#look",
                Map.of("frame", "DOUBLE", "mark", "SPRIG", "line", "made at our table", "right", "0.7"));
        Document sheet = tove.get(
                        tove.get(bottle + "/label").page().select("#on-a-sheet").attr("href") + "&paper=a4-2x4")
                .page();
        assertThat(sheet.select("#queue, .labels-grid").text())
                .contains("Nettle oil")
                .contains("0.7 mm too far left");
        assertThat(sheet.select(".label-read text").text())
                .contains("Urtica dioica", "best before", "Keep cool and dark", "made at our table");
        assertThat(sheet.select(".label-read .label-mark")).hasSize(1);
        assertThat(sheet.select(".label-read .label-box")).as("a double line").hasSize(2);
        Document sale = tove.get("/labels?of=lot.%s.1.sale&paper=a4-2x4".formatted(bottle.replace("/cupboard/", "")))
                .page();
        double figures = sale.select(".label-read text").stream()
                .filter(run -> run.text().contains("218 mL") || run.text().contains(" mL, batch 1"))
                .mapToDouble(run -> Double.parseDouble(run.attr("font-size")) * 0.668)
                .findFirst()
                .orElseThrow();
        assertThat(figures).as("over 200 mL the figures are 4 mm high").isGreaterThanOrEqualTo(3.99);
    }

    @Test
    void aPictureIsWrittenAnewAndABombIsRefusedInWords() throws IOException, InterruptedException {
        assertThat(picture(png(64, 32)).page().text()).contains("Your picture stands on labels now");
        byte[] kept = raw(tove, "/labels/picture.png").body();
        BufferedImage shown = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(shown.getWidth()).isEqualTo(64);
        Document label = tove.get("/labels?" + of(1)).page();
        assertThat(label.select(".label-read image")).hasSize(1);
        sheets(print(label));
        Map<String, byte[]> hostile = Map.of(
                "no PNG", "GIF89a, not this".getBytes(StandardCharsets.US_ASCII),
                "a bomb", png(2400, 1),
                "cut off", Arrays.copyOf(png(64, 32), 60),
                "nothing", new byte[0]);
        hostile.forEach((what, file) -> {
            Answer refused = picture(file);
            assertThat(refused.status()).as(what).isEqualTo(422);
            assertThat(refused.page().select("#picture .bad").text()).as(what).isNotEmpty();
        });
        byte[] vast = png(64, 32);
        // Its head says sixty thousand dots a side; nobody makes room for them.
        System.arraycopy(new byte[] {0, 0, (byte) 0xea, 0x60, 0, 0, (byte) 0xea, 0x60}, 0, vast, 16, 8);
        assertThat(picture(vast).page().select("#picture .bad").text()).contains("60000 × 60000 dots");
        assertThat(raw(tove, "/labels/picture.png").body()).isEqualTo(kept);
        assertThat(raw(Visitor.household(port, "Unpictured"), "/labels/picture.png")
                        .statusCode())
                .isEqualTo(404);
    }

    private static byte[] png(int wide, int high) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(wide, high, BufferedImage.TYPE_INT_ARGB), "png", out);
        return out.toByteArray();
    }

    private Answer picture(byte[] file) {
        return tove.submit(
                "/labels/look",
                "#picture",
                Map.of("picture", Base64.getUrlEncoder().withoutPadding().encodeToString(file)));
    }

    @Test
    void aPaperOfOnesOwnIsKeptAndOneThatHangsOverIsRefused() {
        Map<String, String> right =
                Map.of("width", "50", "height", "30", "across", "4", "below", "9", "left", "3", "top", "10");
        assertThat(tove.submit("/labels/look", "#papers", right).page().text()).contains("sheet of 4 × 9, 50 × 30 mm");
        Document page = tove.get("/labels?" + of(1)).page();
        String own = page.select("#paper option").first().attr("value");
        Document on = tove.get("/labels?" + of(1) + "&paper=" + own).page();
        assertThat(on.select(".label-cell")).hasSize(36);
        Answer over = tove.submit("/labels/look", "#papers", Map.of("width", "60", "height", "30", "across", "4"));
        assertThat(over.status()).isEqualTo(422);
        assertThat(over.page().select("#papers .bad").text()).contains("240 mm by");
        print(on);
        assertThat(tove.get("/labels?" + of(1))
                        .page()
                        .select("#paper option[selected]")
                        .attr("value"))
                .as("printed on last, offered next")
                .isEqualTo(own);
        tove.post("/labels/papers/" + own + "/drop", Map.of());
        assertThat(tove.get("/labels?" + of(1) + "&paper=" + own).page().select(".label-cell"))
                .hasSize(24);
    }

    /** A hundred millimetres of the ruler are a hundred millimetres of the paper, to two tenths. */
    @Test
    void theRulerIsTrue() throws IOException, InterruptedException {
        try (PDDocument document = Loader.loadPDF(pdf("/labels/ruler.pdf"))) {
            int dpi = 508;
            BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, dpi, ImageType.GRAY);
            double dots = dpi / 25.4;
            List<Double> ticks = new ArrayList<>();
            int row = (int) (6.5 * dots);
            boolean dark = false;
            for (int x = (int) (12 * dots); x < page.getWidth(); x++) {
                boolean now = (page.getRGB(x, row) & 0xff) < 128;
                if (now && !dark) {
                    ticks.add(x / dots);
                }
                dark = now;
            }
            assertThat(ticks).as("every centimetre from the second").hasSize(20);
            for (int i = 0; i < ticks.size(); i++) {
                assertThat(ticks.get(i)).isCloseTo(20 + i * 10.0 - 0.1, Assertions.within(0.2));
            }
        }
    }

    /** Where others reach it the code is an address; else its signs alone. */
    @Test
    void theCodeIsAnAddressWhereThereIsOne() {
        OwnAddress address = Mockito.mock(OwnAddress.class);
        Mockito.when(address.isThisMachine()).thenReturn(true, false);
        Mockito.when(address.of("/q/K7MNP2QX")).thenReturn("https://herbs.example.org/q/K7MNP2QX");
        assertThat(new Codes(address).says("K7MNP2QX")).isEqualTo("K7MNP2QX");
        assertThat(new Codes(address).says("K7MNP2QX")).isEqualTo("https://herbs.example.org/q/K7MNP2QX");
    }

    /** Marked where it stands, changed by one tap, or answered; for sale only then is it printed, and what is missing is said before. */
    @Test
    void aBannedWordIsChangedAndPrinted() {
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        String bottle = tove.get("/cupboard").page().select("a.bottle").attr("href");
        String lot = bottle.replace("/cupboard/", "");
        String queue = "/labels?of=lot." + lot + ".2.sale&paper=a4-2x4";
        tove.submit(
                queue,
                "form.words-on-it",
                Map.of("title", "Self-heal and nettle oil", "words", "for eczema and sore hands"));
        Document marked = tove.get(queue).page();
        assertThat(marked.select("#print")).isEmpty();
        assertThat(marked.select(".caution.REFUSE").text()).contains("For sale it is not printed");
        assertThat(marked.select(".claimed mark").eachText()).containsExactly("Self-heal", "eczema", "sore");
        assertThat(marked.select(".claimed").text()).contains("Prunella vulgaris", "for very dry skin");
        assertThat(marked.select(".caution").text())
                .contains("who made it, and where", "safety report, a responsible person and a notification");
        assertThat(tove.get(queue.replace(".sale", "")).page().select("#print"))
                .as("for oneself it is printed")
                .hasSize(1);
        Element botanical = marked.select(".claimed form:contains(Prunella)").first();
        tap(botanical);
        Document second = tove.get(queue).page();
        assertThat(second.select(".label-read text").text()).contains("Prunella vulgaris and nettle oil");
        tap(second.select(".claimed form:contains(for very dry skin)").first());
        Document third = tove.get(queue).page();
        assertThat(third.select(".label-read text").text()).contains("for very dry skin and sore hands");
        assertThat(third.select(".claimed mark").eachText()).containsExactly("sore");
        Answer answered = tove.post(third.select("form[action*=allow]").attr("action"), Map.of("back", queue));
        assertThat(answered.page().select(".claimed")).isEmpty();
        assertThat(tove.post("/labels/words/" + lot + "/allow?stem=eczema", Map.of("back", "//elsewhere.example"))
                        .path())
                .as("an illness is answered by nobody's rules, and nothing leads elsewhere")
                .isEqualTo("/labels");
        tove.submit("/labels/look", "#look", Map.of("where", "Tove, Gannet Row 3"));
        Document ready = tove.get(queue).page();
        assertThat(ready.select(".caution").text()).doesNotContain("who made it, and where");
        assertThat(ready.select(".label-read text").text()).contains("Made by Tove, Gannet Row 3");
        tove.submit("/labels/look", "#look", Map.of("line", "heals since 2019", "where", "Tove, Gannet Row 3"));
        Document line = tove.get(queue).page();
        assertThat(line.select("#print"))
                .as("what stands on all labels is read too")
                .isEmpty();
        assertThat(line.select(".caution.REFUSE").text()).contains("what stands on all your labels says “heals”");
        assertThat(tove.get(queue.replace(".sale", "")).page().select("#print")).hasSize(1);
        tove.submit("/labels/look", "#look", Map.of("line", "", "where", "Tove, Gannet Row 3"));
        assertThat(print(ready).page().text()).contains("2 × Nettle");
    }

    private void tap(Element form) {
        Map<String, String> fields = new HashMap<>();
        form.select("input").forEach(field -> fields.put(field.attr("name"), field.attr("value")));
        assertThat(tove.post(form.attr("action"), fields).status()).isEqualTo(200);
    }
}
