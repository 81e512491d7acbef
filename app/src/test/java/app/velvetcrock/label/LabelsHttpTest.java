package app.velvetcrock.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
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

    private byte[] pdf(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Cookie", tove.cookie())
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/pdf");
        return answer.body();
    }

    @Test
    void theSheetIsPrintedFromTheLabelTappedAndReadsAsThePageShowsIt() throws IOException, InterruptedException {
        String sheet = tove.get(batch + "/label").page().select("#on-a-sheet").attr("href");
        Document page = tove.get(sheet.replace(".1", ".3")).page();
        assertThat(page.select(".caution").text()).contains("all of it fits");
        Document fifth = tove.get(page.select("#sheet a").get(4).attr("href")).page();
        assertThat(fifth.select(".label-cell.used")).hasSize(4);
        Element group = fifth.select("#sheet > g").first();
        assertThat(group.attr("transform")).isEqualTo("translate(73.2 46.8)");
        byte[] bytes = pdf(fifth.select("#print").attr("href"));
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
            assertThat(text).contains("40 g herb", "Patch test first", "Batch 1");
            agrees(group, signs);
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
        String of = "/labels?of=" + batch.replace("/batch/", "batch.") + ".2";
        assertThat(tove.get(of + "&paper=a4-5x13&sale=yes")
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
                "of=batch.00000000-0000-0000-0000-000000000001.99999999999")) {
            assertThat(tove.get("/labels?" + odd).status()).as(odd).isLessThan(500);
            assertThat(tove.get("/labels/sheet.pdf?" + odd).status()).as(odd).isEqualTo(404);
        }
        Answer many = tove.get(of.replace(".2", ".9999"));
        assertThat(many.page().select("#print").text()).isEqualTo("Print 400 on 17 sheets");
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        all.write(pdf(many.page().select("#print").attr("href")));
        assertThat(all.size())
                .as("faces are embedded once, and only what is used of them")
                .isLessThan(3_000_000);
    }

    @Test
    void aMadeThingIsPrintedForEachPieceAndNeverWithAClaimToHeal() {
        tove.submit("/stores/supplies", "form[action$=supplies]", Map.of("kind", "beeswax", "amount", "200 g"));
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        String bottle = tove.get("/cupboard").page().select("a.bottle").attr("href");
        Document sheet = tove.get(
                        tove.get(bottle + "/label").page().select("#on-a-sheet").attr("href"))
                .page();
        assertThat(sheet.select("#queue").text()).contains("1 × Nettle oil");
        assertThat(sheet.select(".label-read text").text())
                .contains("Urtica dioica", "best before", "Keep cool and dark");
    }
}
