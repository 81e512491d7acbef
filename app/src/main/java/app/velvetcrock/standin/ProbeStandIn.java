package app.velvetcrock.standin;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A probe in a pot: steps through time by its rhythm, whoever's time that is, and does what its knob is turned to. Its methods may
 * be called from several threads.
 */
public final class ProbeStandIn {

    private final Pot pot;
    private final Speaker speaker;
    private final Duration rhythm;
    private Instant at;
    private String state = "";

    ProbeStandIn(Pot pot, Speaker speaker, Duration rhythm, Instant at) {
        this.pot = pot;
        this.speaker = speaker;
        this.rhythm = rhythm;
        this.at = at;
    }

    /** A line a probe sent, for whoever compares. */
    public record Told(Instant at, double celsius) {}

    /**
     * Lets one beat of its rhythm pass.
     *
     * @return what it read, where that was not lost on the way
     */
    public synchronized Optional<Told> step() {
        pot.pass(rhythm.toMillis() / 1000.0);
        at = at.plus(rhythm);
        double celsius = pot.read();
        boolean kept = speaker.say("{\"at\":\"%s\",\"celsius\":%s}".formatted(at, celsius));
        return kept ? Optional.of(new Told(at, celsius)) : Optional.empty();
    }

    /** Sends what gathered. */
    public synchronized void send() {
        state = speaker.send();
    }

    /** Turns something: warm, low, high, off, lid-off, lid-on, top-up, out, in, cut, back. */
    public synchronized void turn(String what) {
        switch (what) {
            case "lid-off", "lid-on" -> pot.lid("lid-off".equals(what));
            case "top-up" -> pot.topUp();
            case "out", "in" -> pot.probe("out".equals(what));
            case "cut", "back" -> speaker.away("cut".equals(what));
            default -> Pot.Setting.of(what).ifPresent(pot::turn);
        }
    }

    /** How it stands, in words. */
    public synchronized String state() {
        return pot + (state.isEmpty() ? "" : "; " + state);
    }
}
