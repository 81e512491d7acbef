package app.velvetcrock.readings;

import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatEvent;
import app.velvetcrock.core.heat.HeatOutline;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatTally;
import app.velvetcrock.core.measure.Temperature;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is kept of a course, as bytes: figures to the last bit, so that going on from them is the same as never having stopped.
 * What was written in another shape reads as absent, and is worked out anew.
 */
final class HeatBytes {

    private static final int SHAPE = 1;
    private static final int NANOS = 1_000_000_000;

    private HeatBytes() {}

    /** Writes or reads one value of a stream. */
    private interface Writes<T> {
        void to(DataOutputStream out, T value) throws IOException;
    }

    private interface Reads<T> {
        T from(DataInputStream in) throws IOException;
    }

    static byte[] of(HeatTally tally) {
        return written(
                (out, t) -> {
                    HeatTally.Sums s = t.sums();
                    for (double sum : new double[] {
                        s.inBand(),
                        s.credited(),
                        s.unwatched(),
                        s.above(),
                        s.degreeMinutes(),
                        s.scorching(),
                        s.lukewarm()
                    }) {
                        out.writeDouble(sum);
                    }
                    all(out, t.peak().stream().toList(), (o, peak) -> o.writeDouble(peak.celsius()));
                    all(out, t.last().stream().toList(), HeatBytes::reading);
                    all(out, t.touched().stream().toList(), (o, event) -> {
                        moment(o, event.at());
                        o.writeUTF(event.change().name());
                    });
                    all(out, t.plunge().lastMinute(), HeatBytes::reading);
                    all(out, t.plunge().doubt().stream().toList(), HeatBytes::moment);
                    all(out, t.gaps(), (o, gap) -> {
                        moment(o, gap.from());
                        moment(o, gap.to());
                    });
                },
                tally);
    }

    static Optional<HeatTally> tally(byte[] bytes) {
        return read(bytes, in -> {
            HeatTally.Sums sums = new HeatTally.Sums(
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble(),
                    in.readDouble());
            Optional<Temperature> peak =
                    all(in, i -> Temperature.ofCelsius(i.readDouble())).stream().findFirst();
            Optional<HeatReading> last = all(in, HeatBytes::reading).stream().findFirst();
            Optional<HeatEvent> touched =
                    all(in, i -> new HeatEvent(moment(i), HeatChange.valueOf(i.readUTF()))).stream()
                            .findFirst();
            HeatTally.Plunge plunge = new HeatTally.Plunge(
                    all(in, HeatBytes::reading),
                    all(in, HeatBytes::moment).stream().findFirst());
            return new HeatTally(
                    sums, peak, last, touched, plunge, all(in, i -> new HeatTally.Gap(moment(i), moment(i))));
        });
    }

    static byte[] of(HeatOutline outline) {
        return written(
                (out, o) -> {
                    out.writeLong(o.minutes());
                    all(out, o.spans(), (to, span) -> {
                        reading(to, span.first());
                        reading(to, span.coldest());
                        reading(to, span.hottest());
                        reading(to, span.last());
                    });
                },
                outline);
    }

    static Optional<HeatOutline> outline(byte[] bytes) {
        return read(
                bytes,
                in -> new HeatOutline(
                        in.readLong(),
                        all(in, i -> new HeatOutline.Span(reading(i), reading(i), reading(i), reading(i)))));
    }

    private static <T> byte[] written(Writes<T> writes, T value) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeByte(SHAPE);
            writes.to(out, value);
        } catch (IOException neverInMemory) {
            throw new UncheckedIOException(neverInMemory);
        }
        return bytes.toByteArray();
    }

    private static <T> Optional<T> read(byte[] bytes, Reads<T> reads) {
        try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(bytes))) {
            return in.readByte() == SHAPE ? Optional.of(reads.from(in)) : Optional.empty();
        } catch (IOException | IllegalArgumentException anotherShape) {
            return Optional.empty();
        }
    }

    private static <T> void all(DataOutputStream out, List<T> values, Writes<T> writes) throws IOException {
        out.writeInt(values.size());
        for (T value : values) {
            writes.to(out, value);
        }
    }

    private static <T> List<T> all(DataInputStream in, Reads<T> reads) throws IOException {
        int size = in.readInt();
        List<T> values = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            values.add(reads.from(in));
        }
        return values;
    }

    private static void moment(DataOutputStream out, Instant at) throws IOException {
        out.writeLong(at.getEpochSecond());
        out.writeInt(at.getNano());
    }

    private static Instant moment(DataInputStream in) throws IOException {
        long seconds = in.readLong();
        int nanos = in.readInt();
        if (nanos < 0 || nanos >= NANOS) {
            throw new IOException("not a moment");
        }
        return Instant.ofEpochSecond(seconds, nanos);
    }

    private static void reading(DataOutputStream out, HeatReading reading) throws IOException {
        moment(out, reading.at());
        out.writeDouble(reading.temperature().celsius());
        out.writeBoolean(reading.byProbe());
    }

    private static HeatReading reading(DataInputStream in) throws IOException {
        return new HeatReading(moment(in), Temperature.ofCelsius(in.readDouble()), in.readBoolean());
    }
}
