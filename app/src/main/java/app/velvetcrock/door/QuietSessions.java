package app.velvetcrock.door;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessException;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;
import org.springframework.session.Session;
import org.springframework.session.events.SessionDeletedEvent;

/**
 * Sessions that are not written for every page: that somebody was there is noted once a minute, which is fine enough for
 * a session of thirty days.
 *
 * @param <S> the sessions as they are stored
 */
final class QuietSessions<S extends Session> implements FindByIndexNameSessionRepository<QuietSessions.Quiet<S>> {

    private static final Duration OFTEN_ENOUGH = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> stored;

    private final ApplicationEventPublisher said;

    /**
     * Sessions over those that are stored.
     *
     * @param said where it is said that one was ended
     */
    QuietSessions(FindByIndexNameSessionRepository<S> stored, ApplicationEventPublisher said) {
        this.said = said;
        this.stored = stored;
    }

    @Override
    public Quiet<S> createSession() {
        return new Quiet<>(stored.createSession());
    }

    @Override
    public void save(Quiet<S> session) {
        try {
            stored.save(session.real);
        } catch (DataAccessException ended) {
            // Ended while its request was under way: whoever it was is out, and needs no telling beside the page.
            if (stored.findById(session.getId()) != null) {
                throw ended;
            }
        }
    }

    @Override
    public @Nullable Quiet<S> findById(String id) {
        S found = stored.findById(id);
        return found == null ? null : new Quiet<>(found);
    }

    @Override
    public void deleteById(String id) {
        stored.deleteById(id);
        said.publishEvent(new SessionDeletedEvent(this, new MapSession(id)));
    }

    @Override
    public Map<String, Quiet<S>> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Quiet<S>> found = new LinkedHashMap<>();
        stored.findByIndexNameAndIndexValue(name, value).forEach((id, session) -> found.put(id, new Quiet<>(session)));
        return found;
    }

    /** A session that takes no notice of being looked at twice within a minute. */
    static final class Quiet<S extends Session> implements Session {

        private final S real;

        private Quiet(S real) {
            this.real = real;
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (Duration.between(real.getLastAccessedTime(), at).compareTo(OFTEN_ENOUGH) >= 0) {
                real.setLastAccessedTime(at);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return real.getLastAccessedTime();
        }

        @Override
        public String getId() {
            return real.getId();
        }

        @Override
        public String changeSessionId() {
            return real.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return real.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return real.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            if (value == null) {
                real.removeAttribute(name);
            } else {
                real.setAttribute(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            real.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return real.getCreationTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            real.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return real.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return real.isExpired();
        }
    }
}
