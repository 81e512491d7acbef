package app.velvetcrock.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.Visitor.Filled;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.People;
import java.io.IOException;
import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;

@HttpTest
class DoorHttpTest {

    private static final String PASSWORD = "five jars of oil";

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    @Autowired
    Clock clock;

    @Autowired
    SignInLimit limit;

    @Autowired
    People people;

    @Test
    void signUpOutInAndAnotherPassword() {
        String email = UUID.randomUUID() + "@example.org";
        Visitor tove = new Visitor(port);
        signUp(tove, email);
        assertThat(tove.post("/sign-out", Map.of()).path()).isEqualTo("/sign-in");
        assertThat(signIn(tove, email.toUpperCase(java.util.Locale.ROOT), PASSWORD)
                        .path())
                .isEqualTo("/shelf");
        Answer wrong = tove.submit(
                "/settings",
                "form[action$=password]",
                Map.of("oldPassword", "not this one", "newPassword", "six jars of oil"));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.page().text()).contains("That is not the present password");
        tove.submit(
                "/settings",
                "form[action$=password]",
                Map.of("oldPassword", PASSWORD, "newPassword", "six jars of oil"));
        tove.post("/sign-out", Map.of());
        assertThat(signIn(tove, email, PASSWORD).page().text()).contains("do not belong together");
        assertThat(signIn(tove, email, "six jars of oil").path()).isEqualTo("/shelf");
    }

    @Test
    void guessingIsStoppedEvenWithTheRightPasswordAtLast() {
        String email = UUID.randomUUID() + "@example.org";
        signUp(new Visitor(port), email);
        Visitor guesser = new Visitor(port);
        for (int i = 0; i < SignInLimit.FREE; i++) {
            assertThat(signIn(guesser, email, "guess number " + i).page().text())
                    .contains("do not belong together");
        }
        assertThat(signIn(guesser, email, PASSWORD).page().text()).contains("Too many tries");
    }

    /** Only what was wrong counts, and being right forgets it: any number of right ones in a row are let in. */
    @Test
    void whatWasRightIsForgotten() {
        String email = UUID.randomUUID() + "@example.org";
        signUp(new Visitor(port), email);
        for (int i = 0; i < 3 * SignInLimit.FREE; i++) {
            Visitor owner = new Visitor(port);
            if (i % 3 == 0) {
                assertThat(signIn(owner, email, "a slip of the finger").page().text())
                        .contains("do not belong together");
            }
            assertThat(signIn(owner, email, PASSWORD).path()).isEqualTo("/shelf");
        }
    }

    /** The old password in the settings is a guess as well. */
    @Test
    void thePresentPasswordIsNotGuessedInTheSettings() {
        Visitor tove = Visitor.household(port, "Old password");
        for (int i = 0; i < SignInLimit.FREE; i++) {
            assertThat(changed(tove, "guess number " + i).page().text()).contains("That is not the present password");
        }
        assertThat(changed(tove, "five jars of oil").page().text()).contains("Too many wrong passwords");
    }

    /** Changed on the laptop, the password ends what the phone was signed in with. */
    @Test
    void aNewPasswordSignsOutEverywhereElse() {
        String email = UUID.randomUUID() + "@example.org";
        Visitor laptop = new Visitor(port);
        signUp(laptop, email);
        Visitor phone = new Visitor(port);
        signIn(phone, email, PASSWORD);
        assertThat(phone.get("/shelf").path()).isEqualTo("/shelf");
        assertThat(changed(laptop, PASSWORD).path()).isEqualTo("/settings");
        assertThat(phone.get("/shelf").path()).isEqualTo("/sign-in");
        assertThat(laptop.get("/shelf").path()).isEqualTo("/shelf");
    }

    private static Answer changed(Visitor visitor, String old) {
        return visitor.submit(
                "/settings", "form[action$=password]", Map.of("oldPassword", old, "newPassword", "six sturdy jars"));
    }

    /** The door to the demo opens to this machine by its own names alone, and to nothing that was handed on. */
    @Test
    void theDemoDoorAsksByWhatNameItIsCalled() {
        assertThat(new Visitor(port)
                        .post("/demo-entry", Map.of(), "X-Forwarded-For", "203.0.113.9")
                        .status())
                .isEqualTo(404);
        assertThat(new Visitor(port)
                        .post("/demo-entry", Map.of(), "Forwarded", "for=203.0.113.9")
                        .status())
                .isEqualTo(404);
        assertThat(new Visitor(port)
                        .post("/demo-entry", Map.of(), "Via", "1.1 something")
                        .status())
                .isEqualTo(404);
    }

    /** A cookie that is no session is no one, on every page; the page is answered, and the next sign-in works. */
    @ParameterizedTest
    @ValueSource(strings = {"AAAA", "%00", "....", "''", "00000000-0000-0000-0000-000000000000"})
    void aMadeUpCookieIsNobody(String cookie) {
        String id =
                java.util.Base64.getEncoder().encodeToString(cookie.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        for (String value : new String[] {cookie, id}) {
            assertThat(new Visitor(port)
                            .get("/sign-in", "Cookie", "CROCK=" + value)
                            .status())
                    .as(value)
                    .isEqualTo(200);
        }
    }

    @Test
    void aFormWithoutItsTokenIsNotSent() {
        Visitor tove = Visitor.household(port, "No token");
        assertThat(tove.post(new Filled("/stores/herbs", Map.of("herb", "Nettle", "amount", "5 g")))
                        .status())
                .isEqualTo(403);
        assertThat(tove.get("/stores").page().text()).contains("Nothing here yet");
    }

    @Test
    void everyPageCarriesTheStrictPolicy() {
        Visitor tove = Visitor.household(port, "Policy");
        for (String path : new String[] {"/sign-in", "/shelf", "/bench", "/nowhere"}) {
            assertThat(tove.get(path).raw().headers().firstValue("Content-Security-Policy"))
                    .hasValueSatisfying(policy -> assertThat(policy)
                            .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                            .doesNotContain("unsafe"));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            email          | nobody        | is not an email address
            password       | short         | needs at least 10
            password       | Password1234  | first passwords anybody would try
            password       | 1234567890    | first passwords anybody would try
            password       | Kept name 26  | a name of yours
            house.currency | shells        | is not a currency code
            house.zone     | Atlantis      | is not a time zone
            house.pantry   | 90 °C         | a room is between
            house.pantry   | cold          | begin with a number
            house.household| ''            | Nothing is written here
            """)
    void signUpSaysWhatIsWrongAndKeepsWhatWasTyped(String field, String typed, String words) {
        Visitor tove = new Visitor(port);
        Map<String, String> good = new java.util.HashMap<>(Map.of(
                "name",
                "Tove",
                "email",
                UUID.randomUUID() + "@example.org",
                "password",
                PASSWORD,
                "house.household",
                "Kept name"));
        good.put(field, typed);
        Answer answer = tove.submit("/sign-up", "form", good);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.page().getElementById("note-" + field).text()).contains(words);
        assertThat(answer.page().getElementById(field).attr("value")).isEqualTo(typed);
        assertThat(answer.page().getElementById("name").attr("value")).isEqualTo("Tove");
    }

    @Test
    void handMadeFormsAreRefusedInWords() {
        Visitor tove = Visitor.household(port, "Hand-made");
        assertThat(tove.post("/settings", Map.of("version", "0")).status()).isEqualTo(422);
        assertThat(tove.post("/sign-up", Map.of()).status()).isEqualTo(422);
        assertThat(tove.post("/settings", Map.of("version", "0", "house.household", "a\u0000b"))
                        .page()
                        .text())
                .contains("cannot be written down");
        assertThat(tove.get("/batch/not-an-id").status()).isEqualTo(400);
        assertThat(signIn(new Visitor(port), "a\u0000b@example.org", PASSWORD)
                        .page()
                        .text())
                .contains("do not belong together");
    }

    @Test
    void theSecondToChangeTheSettingsIsToldAndKeepsWhatWasTyped() {
        Visitor tove = Visitor.household(port, "Old name");
        Filled first = Visitor.form(
                tove.get("/settings").page(), "form[action$=settings]", Map.of("house.household", "New name"));
        Filled second = Visitor.form(
                tove.get("/settings").page(), "form[action$=settings]", Map.of("house.household", "Other name"));
        tove.post(first);
        Answer told = tove.post(second);
        assertThat(told.status()).isEqualTo(409);
        assertThat(told.page().text()).contains("now “New name”");
        assertThat(told.page().getElementById("house.household").attr("value")).isEqualTo("Other name");
        tove.post(Visitor.form(told.page(), "form[action$=settings]", Map.of()));
        assertThat(tove.get("/shelf").page().text()).contains("Other name");
    }

    @Test
    void figuresFollowTheHouseholdsUnits() {
        Visitor tove = Visitor.stocked(port, "Cups");
        tove.submit(
                "/settings",
                "form[action$=settings]",
                Map.of("house.system", "US", "house.cups", "US", "house.scale", "FAHRENHEIT"));
        // 275 mL ÷ 236.588 = 1.16 cups; what is poured by eighths is to cover it: 1¼; 14 °C = 57.2 °F
        assertThat(tove.get("/bench?amount=40+g").page().select("#need").text()).isEqualTo("1¼ cups oil");
        assertThat(tove.get("/shelf").page().text()).contains("57.2 °F in the pantry");
    }

    private void signUp(Visitor visitor, String email) {
        visitor.submit(
                "/sign-up",
                "form",
                Map.of("name", "Tove", "email", email, "password", PASSWORD, "house.household", "Door"));
    }

    private static Answer signIn(Visitor visitor, String email, String password) {
        return visitor.submit("/sign-in", "form", Map.of("email", email, "password", password));
    }

    /** A link lets one in, once; each is told apart in the log, can be let go, and the last one stays. */
    @Test
    void severalPeopleShareAStillroomByALinkThatEnds() {
        String email = UUID.randomUUID() + "@example.org";
        Visitor tove = new Visitor(port);
        signUp(tove, email);
        assertThat(tove.get("/settings/people").page().select("#members button"))
                .as("the last one stays")
                .isEmpty();
        String link = tove.submit("/settings/people", "form[action$=invite]", Map.of())
                .page()
                .select("#address")
                .attr("value");
        String path = link.substring(link.indexOf("/join/"));
        String other = UUID.randomUUID() + "@example.org";
        Visitor eskil = new Visitor(port);
        Answer unclear = eskil.submit(path, "form", Map.of("name", "Eskil", "email", other, "password", "short"));
        assertThat(unclear.status()).isEqualTo(422);
        assertThat(unclear.page().select("#email").attr("value")).isEqualTo(other);
        Answer in = eskil.submit(path, "form", Map.of("name", "Eskil", "email", other, "password", PASSWORD));
        assertThat(in.path()).isEqualTo("/shelf");
        assertThat(in.page().text()).contains("You belong to Door now");
        assertThat(new Visitor(port).get(path).status()).as("it leads in once").isEqualTo(404);
        assertThat(tove.get("/settings/people").page().select("#members").text())
                .contains("Tove", "Eskil");
        eskil.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "1 L"));
        assertThat(tove.get("/stores").page().select("main").text()).contains("rapeseed");
        Answer gone = tove.submit("/settings/people", "#members tr:contains(Eskil) form", Map.of());
        assertThat(gone.page().text()).contains("Eskil does not belong here any more");
        assertThat(eskil.get("/shelf").path()).as("signed out everywhere").isEqualTo("/sign-in");
        assertThat(signIn(eskil, other, PASSWORD).page().text()).contains("You do not belong to any stillroom now");
    }

    /** A link taken back or over its time leads nowhere; one who has an account comes in with it. */
    @Test
    void aLinkCanBeTakenBackAndAnAccountThereIsComesInToo() {
        Visitor tove = new Visitor(port);
        signUp(tove, UUID.randomUUID() + "@example.org");
        String email = UUID.randomUUID() + "@example.org";
        signUp(new Visitor(port), email);
        String first = path(tove.submit("/settings/people", "form[action$=invite]", Map.of()));
        tove.submit("/settings/people", "#links form", Map.of());
        assertThat(new Visitor(port).get(first).status()).isEqualTo(404);
        String second = path(tove.submit("/settings/people", "form[action$=invite]", Map.of()));
        Visitor known = new Visitor(port);
        assertThat(known.submit(second, "form", Map.of("email", email, "password", "not this one"))
                        .page()
                        .text())
                .contains("do not belong together");
        assertThat(known.submit(second, "form", Map.of("email", email, "password", PASSWORD))
                        .path())
                .isEqualTo("/shelf");
        assertThat(tove.get("/settings/people").page().select("#members tr")).hasSize(2);
    }

    @Test
    void theDevicesOneIsSignedInWithAreListedAndSignedOut() {
        String email = UUID.randomUUID() + "@example.org";
        Visitor here = new Visitor(port);
        signUp(here, email);
        Visitor there = new Visitor(port);
        signIn(there, email, PASSWORD);
        assertThat(here.get("/settings/people").page().select("#devices tr")).hasSize(2);
        here.submit("/settings/people", "#devices form", Map.of());
        assertThat(there.get("/shelf").path()).isEqualTo("/sign-in");
        assertThat(here.get("/settings/people").page().select("#devices tr")).hasSize(1);
    }

    /** Signed out in another window: what was typed stays in the page, and goes on when the same person signs in there. */
    @Test
    void whatWasTypedIsKeptUntilTheSamePersonIsBack() {
        String email = UUID.randomUUID() + "@example.org";
        Visitor tove = new Visitor(port);
        signUp(tove, email);
        Filled herb = nettle(tove);
        tove.post("/sign-out", Map.of());
        Answer kept = tove.post(herb);
        assertThat(kept.status()).isEqualTo(403);
        assertThat(kept.page().select(".typed").text()).contains("Nettle", "5 g");
        Map<String, String> wrong = Map.of("email", email, "password", "another one of hers");
        Answer again = tove.post(Visitor.form(kept.page(), "form", wrong));
        assertThat(again.page().select(".alarm").text()).contains("do not belong together");
        Answer in = tove.post(Visitor.form(again.page(), "form", Map.of("email", email, "password", PASSWORD)));
        assertThat(in.page().select("[data-send-on]")).hasSize(1);
        Answer sent = tove.post(Visitor.form(in.page(), "[data-send-on]", Map.of()));
        assertThat(sent.page().select(".notice").text()).contains("Nettle");
        assertThat(tove.get("/stores").page().text()).contains("5 g");
    }

    @Test
    void whatSomebodyElseTypedIsShownAndGoesNowhere() {
        Visitor tove = new Visitor(port);
        signUp(tove, UUID.randomUUID() + "@example.org");
        String email = UUID.randomUUID() + "@example.org";
        signUp(new Visitor(port), email);
        Filled herb = nettle(tove);
        tove.post("/sign-out", Map.of());
        Answer kept = tove.post(herb);
        Answer other = tove.post(Visitor.form(kept.page(), "form", Map.of("email", email, "password", PASSWORD)));
        assertThat(other.page().text()).contains("filled in by somebody else", "Nettle");
        assertThat(other.page().select("main form")).isEmpty();
        assertThat(tove.get("/stores").page().text()).contains("Nothing here yet");
    }

    /** A form another site sends here carries no mark of anybody: it is shown and goes nowhere, whoever is signed in. */
    @Test
    void aFormFromElsewhereIsShownAndGoesNowhere() {
        Visitor tove = Visitor.household(port, "Elsewhere");
        Answer shown = tove.post(new Filled("/stores/herbs", Map.of("herb", "Nettle", "amount", "5 g", "by", "guess")));
        assertThat(shown.status()).isEqualTo(403);
        assertThat(shown.page().select("[data-send-on]")).isEmpty();
    }

    private static Filled nettle(Visitor visitor) {
        return Visitor.form(
                visitor.get("/stores").page(), "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "5 g"));
    }

    /** Who holds a link and tries addresses learns of none whether it has an account. */
    @Test
    void joiningNeverSaysThatAnAddressIsTaken() {
        Visitor tove = new Visitor(port);
        String email = UUID.randomUUID() + "@example.org";
        signUp(tove, email);
        String link = path(tove.submit("/settings/people", "form[action$=invite]", Map.of()));
        Answer told = new Visitor(port)
                .submit(link, "form", Map.of("name", "Eskil", "email", email, "password", "six sturdy jars"));
        assertThat(told.status()).isEqualTo(422);
        assertThat(told.page().text())
                .contains("Nobody can be signed up with these")
                .doesNotContain("There is an account");
    }

    /** Five an hour from one address, and no more than there may be from all together. */
    @Test
    void soManyAreSignedUpWithinAnHour() {
        String address = "2001:db8::" + UUID.randomUUID();
        SignInLimit five = new SignInLimit(sql, clock, 5, 1_000_000);
        for (int i = 0; i < 5; i++) {
            assertThat(five.maySignUp(address)).isTrue();
        }
        assertThat(five.maySignUp(address)).isFalse();
        assertThat(five.maySignUp(address + "1")).isTrue();
        assertThat(new SignInLimit(sql, clock, 5, 1).maySignUp(address + "2")).isFalse();
    }

    /** Whoever guesses made-up names keeps out those who were never in from there, and not those who were. */
    @Test
    void madeUpNamesDoNotShutTheOwnerOut() {
        String address = "2001:db8::" + UUID.randomUUID();
        limit.cameIn("tove@example.org", address);
        for (int i = 0; i < 70; i++) {
            limit.mayTry("made-up-%d@example.org".formatted(i), address);
        }
        assertThat(limit.mayTry("nobody@example.org", address)).isFalse();
        assertThat(limit.mayTry("tove@example.org", address)).isTrue();
    }

    /** Links that are handed on are the installation's own, whatever a request calls it; and nobody is sent to a name it made up. */
    @Test
    void noHostIsBelieved() throws IOException {
        try (java.net.Socket socket = new java.net.Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write("GET /shelf HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n"
                            .getBytes(java.nio.charset.StandardCharsets.UTF_8));
            String said = new String(socket.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
            assertThat(said).contains("Location: /sign-in").doesNotContain("evil.example");
        }
        Visitor tove = Visitor.household(port, "Host");
        assertThat(tove.submit("/settings/calendar", "form", Map.of())
                        .page()
                        .select("#address")
                        .attr("value"))
                .startsWith("http://127.0.0.1:" + port + "/feed/");
    }

    /** What somebody typed is no business of a log's: neither the database's word for a taken address nor a broken request's. */
    @Test
    @ExtendWith(OutputCaptureExtension.class)
    void logsTellNoValues(CapturedOutput log) throws IOException {
        String email = UUID.randomUUID() + "@example.org";
        signUp(new Visitor(port), email);
        assertThatThrownBy(() -> people.signUp(
                        new People.NewPerson(email, PASSWORD, "Tove"),
                        House.usual().settings(),
                        false))
                .isInstanceOf(DataIntegrityViolationException.class);
        try (java.net.Socket socket = new java.net.Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write("GET /bench?amount=|%s HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n"
                            .formatted(email)
                            .getBytes(java.nio.charset.StandardCharsets.UTF_8));
            socket.getInputStream().readAllBytes();
        }
        assertThat(log.getAll()).doesNotContain(email).doesNotContain(PASSWORD);
    }

    private static String path(Answer made) {
        String link = made.page().select("#address").attr("value");
        return link.substring(link.indexOf("/join/"));
    }
}
