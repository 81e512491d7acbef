package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Beside a newer release: what that wrote and this one cannot read is said, and nothing is done on top of it. */
@HttpTest
class NewerReleaseHttpTest {

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    @Test
    void aBatchWithALineOfANewerReleaseIsShownAndLeftAlone() {
        Visitor tove = Visitor.stocked(port, "Two releases");
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        Visitor.Filled note =
                Visitor.form(tove.get(batch).page(), "form[action$=note]", Map.of("words", "turned round"));
        Visitor.Filled back = Visitor.form(tove.get(batch).page(), ".log li:contains(Charged) form", Map.of());
        newer(batch);
        for (String page : List.of(batch, batch + "/label", "/shelf", "/press", "/stores")) {
            assertThat(tove.get(page).status()).as(page).isEqualTo(200);
        }
        assertThat(tove.get(batch).page().select(".log").text()).contains("Written by a newer release");
        Answer refused = tove.post(note);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.page().text()).contains("A newer release has written here what this one cannot read");
        assertThat(tove.post(back).page().text()).contains("A newer release has written here");
        assertThat(tove.get(batch).page().select(".log").text()).doesNotContain("turned round");
        String strain = batch.replace("batch", "press");
        assertThat(tove.submit(strain, "form[action*=press]", Map.of("out", "200 g"))
                        .page()
                        .text())
                .contains("A newer release has written here");
    }

    @Test
    void aMakingWithALineOfANewerReleaseIsShownAndLeftAlone() {
        Visitor tove = Visitor.stocked(port, "Two releases in the pan");
        String batch = tove.post(Visitor.form(tove.get("/bench?amount=40+g").page(), "#bench", Map.of()))
                .path();
        tove.submit(batch.replace("batch", "press"), "form[action*=press]", Map.of("out", "200 g"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        String making = tove.post(Visitor.form(
                        tove.get("/pan?kind=salve&was=salve&much=100+g").page(), "#pan", Map.of()))
                .path();
        Visitor.Filled note =
                Visitor.form(tove.get(making).page(), "form[action$=note]", Map.of("words", "smells of honey"));
        newer(making);
        assertThat(tove.get(making).page().text()).contains("Written by a newer release");
        Answer refused = tove.post(note);
        assertThat(refused.page().text()).contains("A newer release has written here");
        assertThat(tove.get(making).page().text()).doesNotContain("smells of honey");
    }

    private void newer(String path) {
        sql.sql(
                        "insert into batch_entry (id, stillroom_id, batch_id, kind, happened_at, recorded_at, account_id, client_key, "
                                + "typed, value)"
                                + " select :id, stillroom_id, batch_id, 'POLISHED', happened_at, recorded_at, account_id, :key, '', "
                                + "'{\"version\": 9}'"
                                + " from batch_entry where batch_id = :batch limit 1")
                .param("id", UUID.randomUUID())
                .param("key", UUID.randomUUID())
                .param("batch", UUID.fromString(path.replaceAll(".*/", "")))
                .update();
    }
}
