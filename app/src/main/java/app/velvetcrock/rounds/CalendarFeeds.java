package app.velvetcrock.rounds;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.Secrets;
import app.velvetcrock.stillroom.SignedIn;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The secret address of a household's calendar: made, found by its secret, revoked. Only the secret's hash is kept. */
@Component
class CalendarFeeds {

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
        sql.sql("insert into calendar_feed (stillroom_id, id, version, secret_hash, created_at) values "
                        + "(:stillroom, :id, 0, :hash, :now)")
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
        return sql.sql("select stillroom_id from calendar_feed where secret_hash = :hash and revoked_at is null")
                .param("hash", Secrets.hash(secret))
                .query(UUID.class)
                .optional()
                .flatMap(people::anybodyOf);
    }
}
