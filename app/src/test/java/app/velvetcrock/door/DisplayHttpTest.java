package app.velvetcrock.door;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** How one person sees every page. */
@HttpTest
class DisplayHttpTest {

    @LocalServerPort
    int port;

    private static Element root(Visitor visitor, String path) {
        return visitor.get(path).page().selectFirst("html");
    }

    @Test
    void itGoesWithThePersonOverEveryPage() {
        Visitor tove = Visitor.household(port, "Display");
        assertThat(root(tove, "/shelf").attr("data-size")).isEqualTo("USUAL");
        Answer kept = tove.submit(
                "/settings",
                "form[action$=settings]",
                Map.of("theme", "DARK", "typeSize", "TWICE", "contrast", "HIGH", "hand", "LEFT"));
        assertThat(kept.page().select("#typeSize option[selected]").val()).isEqualTo("TWICE");
        for (String path : new String[] {"/shelf", "/stores", "/round", "/book"}) {
            Element root = root(tove, path);
            assertThat(root.attr("data-theme")).as(path).isEqualTo("DARK");
            assertThat(root.attr("data-size")).as(path).isEqualTo("TWICE");
            assertThat(root.attr("data-contrast")).as(path).isEqualTo("HIGH");
            assertThat(root.attr("data-hand")).as(path).isEqualTo("LEFT");
        }
        assertThat(root(new Visitor(port), "/sign-in").attr("data-size"))
                .as("of nobody")
                .isEqualTo("USUAL");
    }

    /** A page of the release before asks less; what it does not ask stays as it is. What is none of them is refused. */
    @Test
    void whatIsNotAskedStaysAndWhatIsNoneIsRefused() {
        Visitor tove = Visitor.household(port, "Display before");
        tove.submit("/settings", "form[action$=settings]", Map.of("typeSize", "LARGE", "hand", "LEFT"));
        Filled form = Visitor.form(tove.get("/settings").page(), "form[action$=settings]", Map.of("theme", "LIGHT"));
        Map<String, String> before = new HashMap<>(form.fields());
        for (String newer : new String[] {"typeSize", "contrast", "hand"}) {
            before.remove(newer);
        }
        assertThat(tove.post(new Filled(form.action(), before)).path()).isEqualTo("/settings");
        Element root = root(tove, "/shelf");
        assertThat(root.attr("data-theme")).isEqualTo("LIGHT");
        assertThat(root.attr("data-size")).isEqualTo("LARGE");
        assertThat(root.attr("data-hand")).isEqualTo("LEFT");
        Answer wrong = tove.submit("/settings", "form[action$=settings]", Map.of("typeSize", "GIANT", "theme", "DARK"));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(root(tove, "/shelf").attr("data-theme")).isEqualTo("LIGHT");
    }
}
