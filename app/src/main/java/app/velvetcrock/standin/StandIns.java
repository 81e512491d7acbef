package app.velvetcrock.standin;

import java.io.IOException;
import java.net.BindException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;

/** Starts a stand-in: {@code probe} or {@code scale}, as the launcher does. */
public final class StandIns {

    private static final Duration BEAT = Duration.ofSeconds(10);
    private static final long SCALE_BEAT_MILLIS = 2_000;
    private static final long TEST_BEAT_MILLIS = 100;
    private static final double TENTHS = 10;
    private static final double LOST = 0.02;

    private StandIns() {}

    /**
     * The environment they are told by: CROCK_URL, CROCK_TOKEN, CROCK_KNOB (a port), CROCK_FROM (°C), CROCK_POT (1 or 2); for tests
     * CROCK_CLOCK, a file whose moment is now, and CROCK_TOLD, a file every line that was not lost is written to.
     */
    public static void main(String[] what) throws IOException, InterruptedException {
        String which = what.length == 0 ? "" : what[0];
        switch (which) {
            case "probe" -> probe();
            case "scale" -> scale();
            default -> throw new IllegalArgumentException("probe or scale, not " + which);
        }
    }

    private static String told(String name, String otherwise) {
        String value = System.getenv(name);
        return value == null || value.isBlank() ? otherwise : value;
    }

    private static Speaker speaker(String path, String list, double lost) {
        String token = told("CROCK_TOKEN", "");
        if (token.isEmpty()) {
            throw new IllegalArgumentException("CROCK_TOKEN is not set: make one in Settings, Probes and scales");
        }
        return new Speaker(
                URI.create(told("CROCK_URL", "http://127.0.0.1:8420") + path), token, list, lost, System.nanoTime());
    }

    private static void probe() throws IOException, InterruptedException {
        ProbeStandIn probe = new ProbeStandIn(
                new Pot(
                        Double.parseDouble(told("CROCK_FROM", "21")),
                        Pot.Setting.WARM,
                        "2".equals(told("CROCK_POT", "1")),
                        System.nanoTime()),
                speaker("/api/readings", "readings", LOST),
                BEAT,
                now());
        knob(
                "8432",
                new Knob.Page(
                        "A simulated probe in a pot",
                        List.of(
                                new Knob.Turn("low", "low"),
                                new Knob.Turn("warm", "warm"),
                                new Knob.Turn("high", "high"),
                                new Knob.Turn("off", "heat off"),
                                new Knob.Turn("lid-off", "lid off"),
                                new Knob.Turn("lid-on", "lid on"),
                                new Knob.Turn("top-up", "cold water in"),
                                new Knob.Turn("out", "probe out of the oil"),
                                new Knob.Turn("in", "probe in the oil"),
                                new Knob.Turn("cut", "network away"),
                                new Knob.Turn("back", "network back")),
                        "",
                        probe::state,
                        probe::turn));
        Instant stepped = now();
        while (true) {
            for (; !stepped.plus(BEAT).isAfter(now()); stepped = stepped.plus(BEAT)) {
                Optional<ProbeStandIn.Told> told = probe.step();
                if (told.isPresent() && !told("CROCK_TOLD", "").isEmpty()) {
                    Files.writeString(
                            Path.of(told("CROCK_TOLD", "")),
                            told.get().at() + " " + told.get().celsius() + "\n",
                            StandardOpenOption.CREATE,
                            StandardOpenOption.APPEND);
                }
            }
            probe.send();
            Thread.sleep(ofTest() ? TEST_BEAT_MILLIS : BEAT.toMillis());
        }
    }

    /** Where its port is taken it speaks all the same, and is turned by nobody. */
    private static void knob(String otherwise, Knob.Page page) throws IOException {
        String port = told("CROCK_KNOB", otherwise);
        try {
            Knob.serve(Integer.parseInt(port), page);
        } catch (BindException taken) {
            System.err.println("Port " + port + " is taken: no page turns this one.");
        }
    }

    private static boolean ofTest() {
        return !told("CROCK_CLOCK", "").isEmpty();
    }

    private static Instant now() throws IOException {
        return ofTest()
                ? Instant.parse(
                        Files.readString(Path.of(told("CROCK_CLOCK", ""))).strip())
                : Instant.now(Clock.systemUTC());
    }

    /** What lies on it is unsteady for one beat after it was put there. */
    private static void scale() throws IOException, InterruptedException {
        Speaker speaker = speaker("/api/weighings", "weighings", 0);
        AtomicInteger tenths = new AtomicInteger();
        knob(
                "8433",
                new Knob.Page(
                        "A simulated scale",
                        List.of(
                                new Knob.Turn("0", "empty"),
                                new Knob.Turn("45", "45 g"),
                                new Knob.Turn("152", "152 g")),
                        "Grams on it",
                        () -> tenths.get() / TENTHS + " g lie on it",
                        typed -> put(tenths, typed)));
        Random random = new Random();
        double before = -1;
        while (true) {
            double now = tenths.get() / TENTHS;
            double shown = now == before ? now : Math.max(0, now + random.nextDouble() - 0.5);
            speaker.say(String.format(
                    Locale.ROOT, "{\"secondsAgo\":0,\"grams\":%.1f,\"steady\":%s}", shown, now == before));
            speaker.send();
            before = now;
            Thread.sleep(SCALE_BEAT_MILLIS);
        }
    }

    private static void put(AtomicInteger tenths, String typed) {
        try {
            double put = Double.parseDouble(typed.strip().replace(',', '.'));
            if (put >= 0 && put <= 20_000) {
                tenths.set((int) Math.round(put * TENTHS));
            }
        } catch (NumberFormatException word) {
            // Nothing is put on it by that.
        }
    }
}
