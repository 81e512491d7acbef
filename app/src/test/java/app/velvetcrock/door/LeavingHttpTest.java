package app.velvetcrock.door;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Listening;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.devices.Teller;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Who leaves is out, by whatever they held or made; who changes the password is in alone. */
@HttpTest
class LeavingHttpTest {

    private static final String PASSWORD = "a jar of fresh nettle";

    /** As many wrong or unfinished tries as are free from one address. */
    private static final int AT_ONCE = 4;

    @LocalServerPort
    int port;

    private Visitor tove;
    private Visitor eskil;
    private final String email = UUID.randomUUID() + "@example.org";

    /** Tove's stillroom, into which Eskil came by a link. */
    private void two() {
        tove = Visitor.stocked(port, "Leaving");
        eskil = new Visitor(port);
        eskil.submit(link(tove), "form", Map.of("name", "Eskil", "email", email, "password", PASSWORD));
        assertThat(eskil.get("/shelf").page().select("h1").text()).isNotEmpty();
    }

    private static String link(Visitor visitor) {
        String link = visitor.submit("/settings/people", "form[action$=invite]", Map.of())
                .page()
                .select("#address")
                .attr("value");
        return link.substring(link.indexOf("/join/"));
    }

    private Answer removed() {
        return tove.submit("/settings/people", "#members tr:contains(Eskil) form", Map.of());
    }

    private boolean isOut(Visitor visitor) {
        return visitor.get("/shelf").path().equals("/sign-in");
    }

    private Visitor signedIn() {
        Visitor visitor = new Visitor(port);
        visitor.submit("/sign-in", "form[action$=sign-in]", Map.of("email", email, "password", PASSWORD));
        return visitor;
    }

    @Test
    void whatTheyMadeEndsWithThemAndIsSaid() {
        two();
        String theirs = link(eskil);
        String address = eskil.submit("/settings/calendar", "form[action$=calendar]", Map.of())
                .page()
                .select("#address")
                .attr("value");
        String feed = address.substring(address.indexOf("/feed/"));
        assertThat(new Visitor(port).get(feed).status()).isEqualTo(200);
        Teller probe = Teller.made(port, eskil, "PROBE", "Pot probe");
        Visitor.Filled pending = Visitor.form(
                eskil.get("/stores").page(), "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "1 L"));
        Listening stream = Listening.as(port, eskil, "", "");
        String said = removed().page().select(".notice").text();
        assertThat(said)
                .contains("Eskil does not belong here any more")
                .contains("A link they made lets nobody in.")
                .contains("The calendar's address leads nowhere now")
                .contains("Silent until somebody gives it a new token: Pot probe.");
        assertThat(Listening.soon(stream::ended)).as("the stream ends at once").isTrue();
        assertThat(eskil.get("/stores").path()).as("a page").isEqualTo("/sign-in");
        assertThat(eskil.post(pending).status()).as("a form filled before").isEqualTo(403);
        assertThat(tove.get("/stores").page().select("main tr:contains(Cold-pressed rapeseed)"))
                .as("nothing was written")
                .hasSize(1);
        assertThat(new Visitor(port).get(theirs).status())
                .as("a link of theirs")
                .isEqualTo(404);
        assertThat(new Visitor(port).get(feed).status())
                .as("the calendar's address")
                .isEqualTo(404);
        assertThat(probe.says("/api/readings", "{}").statusCode())
                .as("a device of theirs")
                .isEqualTo(401);
        Visitor back = signedIn();
        assertThat(back.get("/shelf").path()).as("signing in rightly").isEqualTo("/sign-in");
    }

    @Test
    void whoBelongsNowhereIsToldSoAndMaySetUpAStillroomOrBeTakenBack() {
        two();
        removed();
        Visitor alone = new Visitor(port);
        Answer told = alone.submit("/sign-in", "form[action$=sign-in]", Map.of("email", email, "password", PASSWORD));
        assertThat(told.path()).isEqualTo("/set-up");
        assertThat(told.page().select("#nowhere").text()).contains("You do not belong to any stillroom now");
        Answer bad = alone.submit("/set-up", "form[action$=set-up]", Map.of("house.household", ""));
        assertThat(bad.status()).isEqualTo(422);
        Answer again = tove.submit("/settings/people", "#members form[action$=undo]", Map.of());
        assertThat(again.page().select(".notice").text()).contains("Eskil belongs here again");
        assertThat(alone.submit("/set-up", "form[action$=set-up]", Map.of("house.household", "Other"))
                        .status())
                .as("who was taken back meanwhile sets nothing up")
                .isEqualTo(404);
        assertThat(signedIn().get("/shelf").path()).isEqualTo("/shelf");
        removed();
        Visitor own = new Visitor(port);
        own.submit("/sign-in", "form[action$=sign-in]", Map.of("email", email, "password", PASSWORD));
        Answer opened = own.submit("/set-up", "form[action$=set-up]", Map.of("house.household", "Eskil's"));
        assertThat(opened.path()).isEqualTo("/shelf");
        assertThat(opened.page().text()).contains("Your stillroom is open.");
        assertThat(own.get("/stores").page().text()).doesNotContain("Nettle");
        assertThat(new Visitor(port).get("/set-up").path()).as("nobody else").isEqualTo("/sign-in");
    }

    /** A race is run often where there is time for it. */
    static IntStream rounds() {
        return IntStream.range(0, Integer.getInteger("crock.races", 2));
    }

    /** Whoever is let in while somebody is let go reaches nothing afterwards, nor does a link made meanwhile. */
    @ParameterizedTest
    @MethodSource("rounds")
    void signingInWhileOneIsLetGoEndsWithNothing(int round) throws Exception {
        two();
        List<String> links = new ArrayList<>();
        List<Visitor> all = raced(
                () -> {
                    removed();
                },
                () -> {
                    try {
                        links.add(link(eskil));
                    } catch (AssertionError | StringIndexOutOfBoundsException out) {
                        // let go before the link was made
                    }
                });
        all.add(eskil);
        assertThat(all).allMatch(this::isOut);
        assertThat(links).allMatch(path -> new Visitor(port).get(path).status() == 404);
    }

    @ParameterizedTest
    @MethodSource("rounds")
    void signingInByTheOldPasswordWhileItIsChangedEndsWithNothing(int round) throws Exception {
        two();
        Map<String, String> change =
                new HashMap<>(Map.of("oldPassword", PASSWORD, "newPassword", "six jars of elderflower"));
        List<Visitor> all = raced(
                () -> assertThat(eskil.submit("/settings", "form[action$=password]", change)
                                .status())
                        .isEqualTo(200),
                () -> {});
        assertThat(all).allMatch(this::isOut);
        assertThat(isOut(eskil)).as("who changed it stays in").isFalse();
    }

    /** Does one thing while many sign in as Eskil, and another beside it; those who signed in. */
    private List<Visitor> raced(Runnable done, Runnable beside) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE + 2);
        CountDownLatch go = new CountDownLatch(1);
        List<Future<Visitor>> signing = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            signing.add(threads.submit(() -> {
                go.await();
                return signedIn();
            }));
        }
        Future<?> other = threads.submit(() -> {
            go.await();
            beside.run();
            return null;
        });
        go.countDown();
        done.run();
        List<Visitor> all = new ArrayList<>();
        for (Future<Visitor> one : signing) {
            all.add(one.get(30, TimeUnit.SECONDS));
        }
        other.get(30, TimeUnit.SECONDS);
        threads.shutdown();
        return all;
    }
}
