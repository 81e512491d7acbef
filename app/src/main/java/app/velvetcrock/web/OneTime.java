package app.velvetcrock.web;

import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.upkeep.Clears;
import jakarta.servlet.http.HttpServletRequest;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Does the work of a form once for its key, however often and however close together it is sent.
 *
 * <p>The key's row is written in the work's own transaction: a second sending waits for the first and then gets its result;
 * when the first fails nothing stays and the second does the work. The row is bound to what the form said: another body under
 * the same key is refused.
 */
@Component
public class OneTime implements Clears {

    /** Where a request notes the key it claimed. */
    private static final String CLAIMED = OneTime.class.getName();

    private static final String OTHERWISE =
            "This form was sent before, and something in it has been changed since. What was sent first stands; nothing was written now. "
                    + "Open the page again and send it from there.";

    /** No form lies open longer than this and is then sent. */
    private static final Duration REMEMBERED = Duration.ofDays(90);

    private final JdbcClient sql;
    private final Clock clock;

    OneTime(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    @Override
    @Transactional
    public int clear(int most) {
        return sql.sql(
                        "delete from form_key where ctid in (select ctid from form_key where sent_at < :before limit :most)")
                .param("before", Timestamp.from(clock.instant().minus(REMEMBERED)))
                .param("most", most)
                .update();
    }

    /** What a form was answered with: where it led, and what was said there. */
    public record Answer(String leadsTo, @Nullable Notice notice) {}

    private record Row(
            String leadsTo,
            @Nullable String path,
            @Nullable String body,
            @Nullable String answer,
            @Nullable String words,
            @Nullable String undo) {

        Done done() {
            return new Done(leadsTo, words == null ? "" : words, undo);
        }

        boolean isOther(Sending sending) {
            return body != null
                    && !(sending.path().equals(path) && sending.body().equals(body));
        }
    }

    /** Returns what the form did: from the work, or from the first time it was done. A form without a key is always new. */
    @Transactional(propagation = Propagation.REQUIRED)
    public Done once(UUID stillroom, @Nullable UUID formKey, Supplier<Done> work) {
        UUID key = formKey == null ? UUID.randomUUID() : formKey;
        Optional<HttpServletRequest> request = Sending.request();
        Optional<Sending> sending = request.map(Sending::of);
        int fresh = sql.sql(
                        """
                        insert into form_key (stillroom_id, key, leads_to, sent_at, path, body_hash)
                        values (:stillroom, :key, '', :at, :path, :body)
                        on conflict do nothing""")
                .param("stillroom", stillroom)
                .param("key", key)
                .param("at", Timestamp.from(clock.instant()))
                .param("path", sending.map(Sending::path).orElse(null))
                .param("body", sending.map(Sending::body).orElse(null))
                .update();
        if (fresh == 0) {
            Row row = row(stillroom, key).orElseThrow();
            if (sending.filter(row::isOther).isPresent()) {
                throw new Refused(OTHERWISE);
            }
            return row.done();
        }
        Done done = work.get();
        sql.sql("update form_key set leads_to = :to, notice_words = :words, notice_undo = :undo where "
                        + "stillroom_id = :stillroom and key = :key")
                .param("to", done.leadsTo())
                .param("words", done.words())
                .param("undo", done.undo())
                .param("stillroom", stillroom)
                .param("key", key)
                .update();
        request.ifPresent(now -> now.setAttribute(CLAIMED, key));
        return done;
    }

    /**
     * What the same form did when it was sent first, if that is done; absent for a new one, and for another body under its key. Whoever
     * is refused asks this first: what stands in their way may be what they did themselves.
     */
    @Transactional(readOnly = true)
    public Optional<Done> done(UUID stillroom, @Nullable UUID formKey) {
        return formKey == null
                ? Optional.empty()
                : row(stillroom, formKey)
                        .filter(before -> Sending.request()
                                .map(Sending::of)
                                .filter(before::isOther)
                                .isEmpty())
                        .map(Row::done);
    }

    /**
     * What a form did that was sent from its page, where what is sent now is the same by another address: its answer did not reach the
     * device, which therefore kept it. Absent where it did not arrive.
     */
    @Transactional(readOnly = true)
    public Optional<Done> arrived(UUID stillroom, UUID formKey, String otherwise) {
        return row(stillroom, formKey)
                .filter(before -> !otherwise.equals(before.path()))
                .map(Row::done);
    }

    /**
     * The first answer to a form that is sent again; absent for one that is new, or whose first answer is still under way.
     *
     * @throws Refused where its key came before with another body
     */
    @Transactional(readOnly = true)
    public Optional<Answer> answered(UUID stillroom, HttpServletRequest request) {
        Optional<Row> row = Sending.key(request)
                .flatMap(key -> row(stillroom, key))
                .filter(before -> request.getRequestURI().equals(before.path()));
        if (row.filter(before -> before.isOther(Sending.of(request))).isPresent()) {
            throw new Refused(OTHERWISE);
        }
        return row.filter(before -> before.answer() != null)
                .map(before -> new Answer(
                        Objects.requireNonNull(before.answer()),
                        before.words() == null ? null : new Notice(before.words(), before.undo())));
    }

    /** Keeps what a form is being answered with, where this request did its work. */
    @Transactional
    public void answer(UUID stillroom, HttpServletRequest request, Answer answer) {
        if (!(request.getAttribute(CLAIMED) instanceof UUID key)) {
            return;
        }
        Optional<Notice> notice = Optional.ofNullable(answer.notice());
        sql.sql("update form_key set answer = :answer, notice_words = :words, notice_undo = :undo where "
                        + "stillroom_id = :stillroom and key = :key")
                .param("answer", answer.leadsTo())
                .param("words", notice.map(Notice::words).orElse(null))
                .param("undo", notice.map(Notice::undo).orElse(null))
                .param("stillroom", stillroom)
                .param("key", key)
                .update();
    }

    private Optional<Row> row(UUID stillroom, UUID key) {
        return sql.sql("select leads_to, path, body_hash, answer, notice_words, notice_undo from form_key where "
                        + "stillroom_id = :stillroom and key = :key")
                .param("stillroom", stillroom)
                .param("key", key)
                .query((found, n) -> new Row(
                        found.getString(1),
                        found.getString(2),
                        found.getString(3),
                        found.getString(4),
                        found.getString(5),
                        found.getString(6)))
                .optional();
    }
}
