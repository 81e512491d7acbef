package app.velvetcrock.devices;

import app.velvetcrock.core.text.Linear;
import app.velvetcrock.devices.Message.Unreadable;
import app.velvetcrock.devices.Said.Refusal;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices.Speaker;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.zip.GZIPInputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** What devices send: {@code docs/formats/devices.openapi.json} describes it. */
@RestController
class DeviceApi {

    /** Ten thousand lines with room to spare, unpacked. */
    private static final int MOST_BYTES = 2_097_152;

    /** So many refused lines are named; the rest are counted. */
    private static final int MOST_NAMED = 100;

    private static final Set<String> PATHS = Set.of("/api/readings", "/api/weighings");

    private final Intake intake;
    private final JsonMapper json;
    private final Clock clock;

    DeviceApi(Intake intake, JsonMapper json, Clock clock) {
        this.intake = intake;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What became of a message.
     *
     * @param taken lines that were new
     * @param repeated lines that were known
     * @param refused how many were refused
     * @param lines the first hundred of them
     */
    record Answer(int taken, int repeated, int refused, List<Refusal> lines) {}

    /** Turned away as a whole. */
    private static final class TurnedAway extends Exception {
        private static final long serialVersionUID = 1L;
        private final HttpStatus status;

        TurnedAway(HttpStatus status, String why) {
            super(why, null, false, false);
            this.status = status;
        }

        ResponseEntity<Object> answer() {
            return problem(status, String.valueOf(getMessage()));
        }
    }

    @PostMapping("/api/readings")
    ResponseEntity<Object> readings(
            @RequestAttribute(BearerFilter.SPEAKER) Speaker speaker, HttpServletRequest request) {
        return taken(
                new Asked<>(DeviceKind.PROBE, "readings", Line::reading),
                speaker,
                request,
                good -> intake.readings(speaker.device(), good));
    }

    @PostMapping("/api/weighings")
    ResponseEntity<Object> weighings(
            @RequestAttribute(BearerFilter.SPEAKER) Speaker speaker, HttpServletRequest request) {
        return taken(
                new Asked<>(DeviceKind.SCALE, "weighings", Line::weighing),
                speaker,
                request,
                good -> intake.weighings(speaker.device(), good));
    }

    /** Anything else under this path, so that a device is never shown a page. */
    @RequestMapping("/api/**")
    ResponseEntity<Object> nothing(HttpServletRequest request) {
        return PATHS.contains(request.getRequestURI())
                ? problem(HttpStatus.METHOD_NOT_ALLOWED, "Send it with POST.")
                : problem(
                        HttpStatus.NOT_FOUND,
                        "Nothing is here. Readings go to /api/readings, weighings to /api/weighings.");
    }

    /** Two messages at once that the database let only one of through. */
    @ExceptionHandler({ConcurrencyFailureException.class, DataIntegrityViolationException.class})
    ResponseEntity<Object> atOnce(Exception overtaken) {
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "Nothing was kept: send it again in a while.");
    }

    /** What is expected of a device. */
    private record Asked<T>(DeviceKind kind, String list, Message.Takes<T> takes) {}

    private <T> ResponseEntity<Object> taken(
            Asked<T> asked, Speaker speaker, HttpServletRequest request, ToIntFunction<List<T>> takesIn) {
        try {
            if (speaker.kind() != asked.kind()) {
                throw new TurnedAway(
                        HttpStatus.FORBIDDEN,
                        "This token is a %s's.".formatted(speaker.kind().word()));
            }
            Said<T> said = said(asked, request);
            int fresh = takesIn.applyAsInt(said.good());
            return ResponseEntity.ok(new Answer(
                    fresh,
                    said.good().size() - fresh,
                    said.refused().size(),
                    said.refused().stream().limit(MOST_NAMED).toList()));
        } catch (TurnedAway away) {
            return away.answer();
        } catch (Unreadable unreadable) {
            return problem(HttpStatus.BAD_REQUEST, unreadable.why());
        } catch (IOException cut) {
            return problem(HttpStatus.BAD_REQUEST, "The message was cut off or is not packed as it says.");
        }
    }

    private <T> Said<T> said(Asked<T> asked, HttpServletRequest request) throws IOException, Unreadable, TurnedAway {
        String type = base(request.getContentType());
        Message message = new Message(json, asked.kind(), clock.instant());
        return switch (type) {
            case MediaType.APPLICATION_JSON_VALUE -> message.ofJson(body(request), asked.list(), asked.takes());
            case "text/csv" -> message.ofCsv(body(request), asked.takes());
            default -> throw new TurnedAway(
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Send application/json or text/csv, gzip or as it is.");
        };
    }

    private static String base(@Nullable String type) {
        return type == null ? "" : Linear.first(type, ";.*", "").strip().toLowerCase(Locale.ROOT);
    }

    private static byte[] body(HttpServletRequest request) throws IOException, TurnedAway {
        String packed = base(request.getHeader("Content-Encoding"));
        if (!packed.isEmpty() && !packed.equals("gzip")) {
            throw new TurnedAway(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Packed with gzip, or not packed.");
        }
        try (InputStream in =
                packed.isEmpty() ? request.getInputStream() : new GZIPInputStream(request.getInputStream())) {
            byte[] body = in.readNBytes(MOST_BYTES + 1);
            if (body.length > MOST_BYTES) {
                throw new TurnedAway(HttpStatus.CONTENT_TOO_LARGE, "More than 2 MiB: send it in several messages.");
            }
            return body;
        }
    }

    private static ResponseEntity<Object> problem(HttpStatus status, String detail) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(Problems.json(status, detail));
    }
}
