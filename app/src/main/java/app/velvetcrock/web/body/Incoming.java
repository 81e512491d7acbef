package app.velvetcrock.web.body;

import app.velvetcrock.web.markup.PlainPage;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicBoolean;

/** A body as it comes in, piece by piece; told by the container whenever there is more. */
final class Incoming implements ReadListener, AsyncListener {

    /** Under which a request carries its body once that is whole. */
    static final String WHOLE = Incoming.class.getName();

    private static final int PIECE = 4_096;

    private final AsyncContext later;
    private final int most;
    private final Unfinished.Place place;
    private final ByteArrayOutputStream body = new ByteArrayOutputStream();
    private final AtomicBoolean over = new AtomicBoolean();

    Incoming(AsyncContext later, int most, Unfinished.Place place) {
        this.later = later;
        this.most = most;
        this.place = place;
    }

    @Override
    public void onDataAvailable() {
        try {
            takeIn(later.getRequest().getInputStream());
        } catch (IOException broken) {
            end(HttpServletResponse.SC_BAD_REQUEST);
        }
    }

    private void takeIn(ServletInputStream in) throws IOException {
        byte[] piece = new byte[PIECE];
        while (!over.get() && in.isReady()) {
            int read = in.read(piece);
            if (read < 0) {
                return;
            }
            if (body.size() + read > most) {
                end(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
                return;
            }
            body.write(piece, 0, read);
        }
    }

    @Override
    public void onAllDataRead() {
        if (!over.getAndSet(true)) {
            place.leave().run();
            later.getRequest().setAttribute(WHOLE, body.toByteArray());
            later.dispatch();
        }
    }

    @Override
    public void onError(Throwable brokenOff) {
        end(HttpServletResponse.SC_BAD_REQUEST);
    }

    @Override
    public void onTimeout(AsyncEvent event) {
        end(HttpServletResponse.SC_REQUEST_TIMEOUT);
    }

    @Override
    public void onError(AsyncEvent event) {
        end(HttpServletResponse.SC_BAD_REQUEST);
    }

    @Override
    public void onComplete(AsyncEvent event) {
        place.leave().run();
    }

    @Override
    public void onStartAsync(AsyncEvent event) {}

    private void end(int status) {
        if (over.getAndSet(true)) {
            return;
        }
        place.leave().run();
        try {
            refuse((HttpServletRequest) later.getRequest(), (HttpServletResponse) later.getResponse(), status);
        } catch (IOException gone) {
            // Whoever sent half a body is not there any more to be told.
        } finally {
            later.complete();
        }
    }

    private static boolean isLong(int status) {
        return status == HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE;
    }

    /** In words for a browser, as a problem for a device. */
    static void refuse(HttpServletRequest request, HttpServletResponse response, int status) throws IOException {
        if (!BodyFilter.isDevices(request)) {
            PlainPage.write(response, status, isLong(status) ? "long" : "unread");
            return;
        }
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write("{\"type\":\"about:blank\",\"status\":%d,\"detail\":\"%s\"}"
                        .formatted(
                                status,
                                isLong(status)
                                        ? "More than one message holds: send it in several."
                                        : "The message broke off on the way. Nothing was kept: send it again.")
                        .getBytes(StandardCharsets.UTF_8));
    }
}
