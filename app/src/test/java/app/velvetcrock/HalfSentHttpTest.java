package app.velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.Visitor.Answer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Whoever sends half of something waits alone. */
@HttpTest
class HalfSentHttpTest {

    private static final boolean MANY = Integer.getInteger("crock.cases", 1) > 1;
    private static final int OTHERS = 50;
    private static final int EACH = MANY ? 10 : 5;

    @LocalServerPort
    int port;

    /** From fifty addresses more halves than there are threads: a visitor comes, signs up and writes before one of them is given up. */
    @Test
    void halfSentBodiesKeepNobodyWaiting() throws IOException {
        List<Socket> halves = new ArrayList<>();
        comesIn();
        try {
            for (int i = 0; i < OTHERS * EACH; i++) {
                Socket half = from("127.0.0." + (2 + i % OTHERS));
                half.getOutputStream()
                        .write(head("/sign-in", "Content-Length: 200").getBytes(StandardCharsets.UTF_8));
                half.getOutputStream().write("email=somebody".getBytes(StandardCharsets.UTF_8));
                halves.add(half);
            }
            long began = System.nanoTime();
            comesIn();
            System.out.printf(
                    "%d halves: a visitor came in within %d ms%n",
                    halves.size(), (System.nanoTime() - began) / 1_000_000);
            Socket patient = null;
            for (Socket half : halves) {
                patient = half.getInputStream().available() == 0 ? half : patient;
            }
            assertThat(patient).as("some of them have their time still").isNotNull();
            String given = new String(patient.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(given).startsWith("HTTP/1.1 408").contains("broke off on the way");
        } finally {
            for (Socket half : halves) {
                half.close();
            }
        }
    }

    private void comesIn() {
        Answer in = new Visitor(port)
                .submit(
                        "/sign-up",
                        "form",
                        Map.of(
                                "name",
                                "Tove",
                                "email",
                                UUID.randomUUID() + "@example.org",
                                "password",
                                "five jars of oil",
                                "house.household",
                                "Halves"));
        assertThat(in.path()).isEqualTo("/shelf");
    }

    /** Bytes that trickle in do not start the time anew. */
    @Test
    void aBodyHasItsTimeInAllHoweverItTrickles() throws IOException, InterruptedException {
        try (Socket slow = from("127.0.0.60")) {
            slow.getOutputStream()
                    .write(head("/sign-in", "Content-Length: 2000").getBytes(StandardCharsets.UTF_8));
            int sent = 0;
            while (slow.getInputStream().available() == 0 && sent < 200) {
                slow.getOutputStream().write('a');
                sent++;
                Thread.sleep(100);
            }
            assertThat(new String(slow.getInputStream().readNBytes(12), StandardCharsets.UTF_8))
                    .isEqualTo("HTTP/1.1 408");
        }
    }

    /** What comes in pieces is read like what comes at once, by the token it carries. */
    @ParameterizedTest
    @CsvSource({
        "/sign-in, Content-Length: 11, 403",
        "/sign-up, Content-Length: 11, 403",
        "/bench, Content-Length: 11, 403",
        "/sign-in, Content-Length: 16385, 413",
        "/api/readings, Content-Length: 11, 401",
        "/api/readings, Content-Length: 99999, 413"
    })
    void piecesAreReadAndTooManyRefused(String path, String length, int status)
            throws IOException, InterruptedException {
        try (Socket slow = from("127.0.0.61")) {
            slow.getOutputStream().write(head(path, length).getBytes(StandardCharsets.UTF_8));
            slow.getOutputStream().write("email=".getBytes(StandardCharsets.UTF_8));
            slow.getOutputStream().flush();
            Thread.sleep(200);
            if (status != 413) {
                slow.getOutputStream().write("abcde".getBytes(StandardCharsets.UTF_8));
            }
            assertThat(new String(slow.getInputStream().readNBytes(12), StandardCharsets.UTF_8))
                    .isEqualTo("HTTP/1.1 " + status);
        }
    }

    private static String head(String path, String length) {
        return "POST %s HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\n%s\r\n\r\n"
                .formatted(path, length);
    }

    private Socket from(String address) throws IOException {
        Socket socket = new Socket(InetAddress.getByName("127.0.0.1"), port, InetAddress.getByName(address), 0);
        socket.setSoTimeout(15_000);
        return socket;
    }
}
