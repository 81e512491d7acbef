package app.velvetcrock.rounds;

import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.Leaving;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.Secrets;
import app.velvetcrock.stillroom.SignedIn;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The secret address of a household's calendar: made, found by its secret, revoked. Only the secret's hash is kept. */
@Component
class CalendarFeeds implements Leaving {

    private final Households households;
    private final JdbcClient sql;
    private final People people;
    private final Clock clock;

    CalendarFeeds(Households households, People people, JdbcClient sql, Clock clock) {
        this.households = households;
        this.sql = sql;
        this.people = people;
        this.clock = clock;
    }

    /** Makes a new secret; an earlier address leads nowhere from then on. */
    @Transactional
    public String renew() {
        households.oneAtATime();
        revoke();
        String secret = Secrets.fresh();
        sql.sql("insert into calendar_feed (stillroom_id, id, version, secret_hash, created_at, made_by) values "
                        + "(:stillroom, :id, 0, :hash, :now, :by)")
                .param("by", Current.person().account())
                .param("stillroom", Current.stillroom())
                .param("id", UUID.randomUUID())
                .param("hash", Secrets.hash(secret))
                .param("now", Timestamp.from(clock.instant()))
                .update();
        return secret;
    }

    @Transactional
    public void revoke() {
        sql.sql("update calendar_feed set revoked_at = :now where stillroom_id = :stillroom and revoked_at is null")
                .param("stillroom", Current.stillroom())
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }

    /** An address from before makers were kept may be anybody's. */
    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<String> left(UUID account) {
        int revoked = sql.sql(
                        "update calendar_feed set revoked_at = :now where stillroom_id = :stillroom and revoked_at is null "
                                + "and (made_by = :account or made_by is null)")
                .param("stillroom", Current.stillroom())
                .param("account", account)
                .param("now", Timestamp.from(clock.instant()))
                .update();
        return revoked == 0
                ? Optional.empty()
                : Optional.of("The calendar's address leads nowhere now: make a new one in Settings, Calendar.");
    }

    /** How long before its time a calendar rings. */
    enum Rings implements Worded {
        NOT("not at all", null),
        THEN("when it is time", Duration.ZERO),
        QUARTER("a quarter of an hour before", Duration.ofMinutes(15)),
        HOUR("an hour before", Duration.ofHours(1)),
        DAY("a day before", Duration.ofDays(1));

        private final String word;
        private final @Nullable Duration before;

        Rings(String word, @Nullable Duration before) {
            this.word = word;
            this.before = before;
        }

        @Override
        public String word() {
            return word;
        }

        Optional<Duration> before() {
            return Optional.ofNullable(before);
        }
    }

    @Transactional(readOnly = true)
    Rings alarm() {
        return sql.sql("select rings from calendar_rings where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> Rings.valueOf(row.getString(1)))
                .optional()
                .orElse(Rings.NOT);
    }

    @Transactional
    void ring(Rings rings) {
        sql.sql("insert into calendar_rings (stillroom_id, rings) values (:stillroom, :rings) "
                        + "on conflict (stillroom_id) do update set rings = :rings")
                .param("stillroom", Current.stillroom())
                .param("rings", rings.name())
                .update();
    }

    @Transactional(readOnly = true)
    public boolean exists() {
        return sql.sql("select count(*) from calendar_feed where stillroom_id = :stillroom and revoked_at is null")
                        .param("stillroom", Current.stillroom())
                        .query(Long.class)
                        .single()
                > 0;
    }

    /** Whose calendar a secret opens: looked up before any household is known, by the secret alone. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> opens(String secret) {
        return sql.sql(
                        "select stillroom_id, made_by from calendar_feed where secret_hash = :hash and revoked_at is null")
                .param("hash", Secrets.hash(secret))
                .query((row, at) -> row.getObject(2) == null
                        ? people.anybodyOf(row.getObject(1, UUID.class))
                        : people.member(row.getObject(1, UUID.class), row.getObject(2, UUID.class)))
                .optional()
                .flatMap(owner -> owner);
    }
}
