package app.velvetcrock.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Listening;
import app.velvetcrock.Visitor;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Streams of what changes: told soon and seldom, caught up, and ended with the session. */
@HttpTest
class LiveHttpTest {

    @LocalServerPort
    int port;

    @Autowired
    Streams streams;

    @Autowired
    JdbcClient sql;

    private Visitor tove;
    private String batch;

    @BeforeEach
    void aBatch() {
        tove = Visitor.stocked(port, "Live");
        batch = tove.post(Visitor.form(tove.get("/bench?amount=30+g").page(), "#bench", Map.of()))
                .path();
    }

    private void note(String words) {
        tove.post(batch + "/note", Map.of("key", UUID.randomUUID().toString(), "words", words));
    }

    private String what() {
        return batch.replace("/batch/", "batch:");
    }

    /** A change is heard at once; ten in a row in a few; another household's not at all. */
    @Test
    void aChangeIsHeardByItsHouseholdAlone() {
        Visitor stranger = Visitor.stocked(port, "Strangers to it");
        try (Listening mine = Listening.as(port, tove, "", "");
                Listening theirs = Listening.as(port, stranger, "", "")) {
            note("one");
            assertThat(Listening.soon(() -> mine.data().contains(what()))).isTrue();
            int before = mine.data().size();
            for (int i = 0; i < 10; i++) {
                sql.sql("select pg_notify('crock_changes', :said)")
                        .param("said", stillroom() + " " + (1_000 + i) + " " + what())
                        .query(String.class)
                        .list();
            }
            assertThat(Listening.soon(() -> mine.last().equals("1009"))).isTrue();
            assertThat(mine.data().size() - before)
                    .as("ten in far less than a second")
                    .isBetween(1, 4);
            assertThat(theirs.data()).isEmpty();
        }
    }

    private String stillroom() {
        return sql.sql("select stillroom_id::text from batch where id = :id::uuid")
                .param("id", batch.substring("/batch/".length()))
                .query(String.class)
                .single();
    }

    /** Whoever was away hears that something changed, and nothing where nothing did. */
    @Test
    void whoeverWasAwayIsCaughtUp() {
        String last;
        try (Listening first = Listening.as(port, tove, "", "")) {
            note("heard");
            assertThat(Listening.soon(() -> !first.last().isEmpty())).isTrue();
            last = first.last();
        }
        try (Listening same = Listening.as(port, tove, "", last)) {
            Listening.rest(400);
            assertThat(same.data()).as("nothing changed meanwhile").isEmpty();
        }
        note("not heard");
        try (Listening again = Listening.as(port, tove, "", last);
                Listening made = Listening.as(port, tove, "?since=" + last, "")) {
            assertThat(Listening.soon(() -> again.data().equals(List.of("*")))).isTrue();
            assertThat(Listening.soon(() -> made.data().equals(List.of("*")))).isTrue();
        }
    }

    /** Whatever is asked, a stream opens; what is no revision is none. */
    @Test
    void whatIsNoRevisionIsNone() {
        for (String odd : List.of(
                "?since=%3Cscript%3E", "?since=-1", "?since=9e99", "?since=&q=%27", "?since=" + "9".repeat(40))) {
            try (Listening any = Listening.as(port, tove, odd, "NaN")) {
                assertThat(any.status()).as(odd).isEqualTo(200);
            }
        }
    }

    /** Signing out ends the stream; a session that is ended elsewhere is found out at the next beat. */
    @Test
    void aStreamEndsWithItsSession() {
        try (Listening mine = Listening.as(port, tove, "", "")) {
            assertThat(mine.status()).isEqualTo(200);
            tove.post("/sign-out", Map.of());
            assertThat(Listening.soon(mine::ended)).isTrue();
        }
        assertThat(tove.get("/live").path()).isEqualTo("/sign-in");
    }

    /** A stream holds nothing of the thread it was opened on: pages and deeds after a hundred of them go on as before. */
    @Test
    void manyStreamsHoldNothingBack() {
        List<Listening> many = new java.util.ArrayList<>();
        for (int i = 0; i < 25; i++) {
            many.add(Listening.as(port, tove, "", ""));
        }
        assertThat(streams.size()).isGreaterThanOrEqualTo(25);
        for (int i = 0; i < 20; i++) {
            note("note " + i);
            assertThat(tove.get(batch).page().text()).contains("note " + i);
        }
        assertThat(Listening.soon(
                        () -> many.stream().noneMatch(one -> one.data().isEmpty())))
                .isTrue();
        many.forEach(Listening::close);
    }

    /** Two hundred who take nothing of what they are told: everybody else hears as soon as ever, and they are let go. */
    @Test
    void whoeverStopsReadingKeepsNobodyFromHearing() throws IOException {
        Visitor other = Visitor.stocked(port, "Stalled");
        List<Socket> stalled = new ArrayList<>();
        try {
            for (int i = 0; i < 200; i++) {
                Socket socket = new Socket();
                socket.setReceiveBufferSize(1_024);
                socket.connect(new InetSocketAddress("127.0.0.1", port));
                Visitor one = i % 20 == 0 ? other = Visitor.stocked(port, "Stalled " + i) : other;
                socket.getOutputStream()
                        .write(
                                "GET /live HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\nCookie: %s\r\n\r\n"
                                        .formatted(one.cookie())
                                        .getBytes(StandardCharsets.UTF_8));
                stalled.add(socket);
            }
            assertThat(Listening.soon(() -> streams.size() >= 200)).isTrue();
            String filler = ":" + "x".repeat(2_000) + "\n\n";
            for (int i = 0; i < 60; i++) {
                streams.tellAll(filler);
            }
            try (Listening mine = Listening.as(port, tove, "", "")) {
                long began = System.nanoTime();
                note("heard all the same");
                assertThat(Listening.soon(() -> mine.data().contains(what()))).isTrue();
                System.out.printf("heard beside 200 stalled after %d ms%n", (System.nanoTime() - began) / 1_000_000);
            }
            for (int i = 0; i < 3_000 && streams.size() > 20; i++) {
                streams.tellAll(filler);
            }
            assertThat(streams.size()).as("let go").isLessThan(100);
        } finally {
            for (Socket socket : stalled) {
                socket.close();
            }
        }
    }
}
