package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** From a charged jar to its label, from a lot of tins to their sheets, and a day at the stall, as the browser shows and prints them. */
class LabelsJourneyTest {

    private static final double POINTS = 72 / 25.4;

    /** Where each sign of the first sheet begins, in mm of the sheet, as the browser drew it. */
    private static final String DRAWN =
            """
            () => [...document.querySelectorAll('#sheet0 > g')].slice(0, 1).flatMap((group) => {
              const move = group.transform.baseVal.consolidate().matrix;
              return [...group.querySelectorAll('text')].flatMap((text) => [...text.textContent].map((sign, at) => {
                const begin = text.getStartPositionOfChar(at);
                const end = text.getEndPositionOfChar(at);
                const next = at + 1 < text.getNumberOfChars() ? text.getStartPositionOfChar(at + 1).x : end.x;
                return { sign, x: move.e + begin.x, y: move.f + begin.y, over: end.x - next };
              }));
            })""";

    private Window window;
    private Page page;

    @BeforeEach
    void open() {
        window = new Window(RunningApp.at(RunningApp.DEMO_LOADED));
        page = window.page();
    }

    @AfterEach
    void close() {
        assertThat(window.complaints()).isEmpty();
        window.close();
    }

    private void lookRound() {
        window.go("/sign-in");
        page.click("text=Look round the demo household");
        window.waitFor("/shelf");
    }

    private byte[] pdf(String selector) {
        String href = page.locator(selector).first().getAttribute("href");
        APIResponse answer = page.request().get(page.url().replaceFirst("^(.*?//[^/]*).*", "$1") + href);
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private static List<TextPosition> signs(PDDocument document) throws IOException {
        List<TextPosition> signs = new ArrayList<>();
        PDFTextStripper stripper = new PDFTextStripper() {
            @Override
            protected void processTextPosition(TextPosition text) {
                signs.add(text);
                super.processTextPosition(text);
            }
        };
        stripper.getText(document);
        return signs;
    }

    /** Charged, asked for, printed: what the browser drew and what the paper says agree to a tenth of a millimetre. */
    @Test
    @SuppressWarnings("unchecked")
    void aJarIsLabelledWhenItIsCharged() throws IOException {
        window.signUp("Labels");
        Larder larder = new Larder(window);
        larder.carrier("rapeseed", "2 L");
        larder.herb("nettle", "200 g");
        window.go("/stores");
        page.fill("#j-name", "Jar");
        page.fill("#j-capacity", "500 mL");
        page.fill("#j-width", "75 mm");
        page.click("form[action$='/stores/jars'] button.do");
        page.waitForSelector(".notice:has-text('is in the stores')");
        window.go("/bench?amount=40+g");
        page.click("#start-batch");
        window.waitFor("/batch/.*");
        window.go("/shelf");
        page.click(".to-label a");
        page.click("text=All of them");
        page.waitForSelector("#print");
        List<Map<String, Object>> drawn = (List<Map<String, Object>>) page.evaluate(DRAWN);
        page.click("#print button");
        window.waitFor("/labels/jobs/.*");
        try (PDDocument document = Loader.loadPDF(pdf("a[href$='sheets.pdf']"))) {
            List<TextPosition> signs = signs(document);
            int checked = 0;
            for (Map<String, Object> one : drawn) {
                String sign = String.valueOf(one.get("sign"));
                if (sign.isBlank()) {
                    continue;
                }
                double x = ((Number) one.get("x")).doubleValue() * POINTS;
                double y = ((Number) one.get("y")).doubleValue() * POINTS;
                assertThat(signs)
                        .as(sign)
                        .anyMatch(printed -> printed.getUnicode().equals(sign)
                                && Math.abs(printed.getXDirAdj() - x) < 0.1 * POINTS
                                && Math.abs(printed.getYDirAdj() - y) < 0.1 * POINTS);
                assertThat(((Number) one.get("over")).doubleValue())
                        .as(sign + " is as wide in the browser as the table says")
                        .isLessThan(0.1);
                checked++;
            }
            assertThat(checked).isGreaterThan(80);
        }
        window.go("/shelf");
        assertThat(page.locator(".to-label").count()).isZero();
    }

    /** Twenty-four from the seventh of eight: two on the sheet that is begun, and on three more. */
    @Test
    void twentyFourTinsFromPositionSeven() throws IOException {
        lookRound();
        window.go("/cupboard");
        String good = page.locator("a.goods").first().getAttribute("href");
        window.go("/labels?of=lot.%s.1&paper=a4-2x4".formatted(good.replaceFirst(".*/", "")));
        page.fill("input[name=n]", "24");
        page.keyboard().press("Tab");
        page.waitForSelector("#print button:has-text('Print 24')");
        page.click("[aria-label='begin at label 7']");
        page.waitForSelector(".label-cell.used");
        assertThat(page.locator(".label-cell.used").count()).isEqualTo(6);
        assertThat(window.text("#print button")).isEqualTo("Print 24 on 4 sheets");
        page.click("#print button");
        window.waitFor("/labels/jobs/.*");
        try (PDDocument document = Loader.loadPDF(pdf("a[href$='sheets.pdf']"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(4);
            for (int sheet = 1; sheet <= 4; sheet++) {
                PDFTextStripper one = new PDFTextStripper();
                one.setStartPage(sheet);
                one.setEndPage(sheet);
                assertThat(one.getText(document).lines().filter(line -> line.startsWith("Net ")))
                        .as("on sheet " + sheet)
                        .hasSize(List.of(2, 8, 8, 6).get(sheet - 1));
            }
        }
        page.click("a[href$='/paper']");
        page.waitForSelector("svg.whole");
        assertThat(page.locator("svg.whole").count()).isEqualTo(4);
        assertThat(page.locator("svg.whole").first().locator("> g").count()).isEqualTo(2);
    }

    /** With one hand, on a phone: what is sold is one tap, and what was taken stands above. */
    @Test
    void aDayAtTheStallOnAPhone() {
        window.open(390, 844, ColorScheme.LIGHT);
        page = window.page();
        lookRound();
        window.go("/cupboard/stall");
        page.click("#days a");
        page.waitForSelector(".stall-sell .sell");
        String before = window.text(".stall-what .much");
        page.locator(".stall-sell .sell").first().click();
        page.waitForSelector(".takings b:has-text('6.50')");
        assertThat(window.text(".stall-what .much")).isNotEqualTo(before);
        page.locator("#outs form[action$=undo] button").first().click();
        page.waitForSelector(".takings b:has-text('0.00')");
        assertThat(window.text(".stall-what .much")).isEqualTo(before);
        assertThat(page.locator(".stall-sell .sell").first().boundingBox().height)
                .as("a thumb finds it")
                .isGreaterThanOrEqualTo(48);
    }
}
