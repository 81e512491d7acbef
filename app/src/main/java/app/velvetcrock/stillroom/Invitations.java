package app.velvetcrock.stillroom;

import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lets others into a stillroom by a link that opens once and ends by itself. */
@Service
public class Invitations implements Leaving {

    /** [E] Long enough to read one's messages. */
    private static final Duration OPEN = Duration.ofDays(7);

    private static final int MOST_OPEN = 10;

    private final JdbcClient sql;
    private final People people;
    private final Households households;
    private final Clock clock;

    Invitations(JdbcClient sql, People people, Households households, Clock clock) {
        this.sql = sql;
        this.people = people;
        this.households = households;
        this.clock = clock;
    }

    /** A link nobody has used yet. */
    public record Open(UUID id, UUID by, Instant ends) {}

    /** What a link leads to: a stillroom, and who asks one in. */
    public record Invited(UUID id, UUID stillroom, String name, String by) {}

    /** Makes a link. */
    @Transactional
    public String invite() {
        households.oneAtATime();
        if (open().size() >= MOST_OPEN) {
            throw new Refused("%d links are open already. Take one back first.".formatted(MOST_OPEN));
        }
        String secret = Secrets.fresh();
        Instant now = clock.instant();
        sql.sql("insert into invitation (stillroom_id, id, secret_hash, made_by, made_at, ends_at) values "
                        + "(:stillroom, :id, :hash, :by, :now, :ends)")
                .param("stillroom", Current.stillroom())
                .param("id", UUID.randomUUID())
                .param("hash", Secrets.hash(secret))
                .param("by", Current.person().account())
                .param("now", Timestamp.from(now))
                .param("ends", Timestamp.from(now.plus(OPEN)))
                .update();
        return secret;
    }

    /** The links that still lead in, the latest first. */
    @Transactional(readOnly = true)
    public List<Open> open() {
        return sql.sql(
                        "select id, made_by, ends_at from invitation where stillroom_id = :stillroom and used_at is null "
                                + "and withdrawn_at is null and ends_at > :now order by made_at desc")
                .param("stillroom", Current.stillroom())
                .param("now", Timestamp.from(clock.instant()))
                .query((row, at) -> new Open(
                        row.getObject(1, UUID.class),
                        row.getObject(2, UUID.class),
                        row.getTimestamp(3).toInstant()))
                .list();
    }

    /** Takes a link back, once however often it is asked. */
    @Transactional
    public void withdraw(UUID id) {
        int found = sql.sql("update invitation set withdrawn_at = coalesce(withdrawn_at, :now) "
                        + "where stillroom_id = :stillroom and id = :id and used_at is null")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("now", Timestamp.from(clock.instant()))
                .update();
        if (found == 0) {
            throw new NotHere("that link");
        }
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<String> left(UUID account) {
        int withdrawn = sql.sql(
                        "update invitation set withdrawn_at = :now where stillroom_id = :stillroom and made_by = :account "
                                + "and used_at is null and withdrawn_at is null and ends_at > :now")
                .param("stillroom", Current.stillroom())
                .param("account", account)
                .param("now", Timestamp.from(clock.instant()))
                .update();
        return withdrawn == 0
                ? Optional.empty()
                : Optional.of(
                        withdrawn == 1
                                ? "A link they made lets nobody in."
                                : "The %d links they made let nobody in.".formatted(withdrawn));
    }

    /** What a secret leads to, looked up before any household is known; nothing once it is used, taken back or over. */
    @Transactional(readOnly = true)
    public Optional<Invited> find(String secret) {
        return sql.sql(
                        """
                        select i.id, i.stillroom_id, s.name, a.name from invitation i
                        join stillroom s on s.id = i.stillroom_id join account a on a.id = i.made_by
                        join membership m on m.stillroom_id = i.stillroom_id and m.account_id = i.made_by and m.left_at is null
                        where i.secret_hash = :hash and i.used_at is null and i.withdrawn_at is null and i.ends_at > :now""")
                .param("hash", Secrets.hash(secret))
                .param("now", Timestamp.from(clock.instant()))
                .query((row, at) -> new Invited(
                        row.getObject(1, UUID.class), row.getObject(2, UUID.class), row.getString(3), row.getString(4)))
                .optional();
    }

    /** Lets somebody new in, with an account of their own. */
    @Transactional
    public SignedIn join(Invited invited, People.NewPerson person) {
        return used(invited, people.joinAnew(invited.stillroom(), person));
    }

    /** Lets somebody in who has an account; empty where email and password do not belong together. */
    @Transactional
    public Optional<SignedIn> joinAgain(Invited invited, String email, String password) {
        return people.joinAgain(invited.stillroom(), email, password).map(person -> used(invited, person));
    }

    private SignedIn used(Invited invited, SignedIn person) {
        int first = sql.sql("update invitation set used_by = :who, used_at = :now "
                        + "where stillroom_id = :stillroom and id = :id and used_at is null and withdrawn_at is null")
                .param("stillroom", invited.stillroom())
                .param("id", invited.id())
                .param("who", person.account())
                .param("now", Timestamp.from(clock.instant()))
                .update();
        if (first == 0) {
            throw new Refused("Somebody came in by this link already. Ask for another.");
        }
        return person;
    }
}
