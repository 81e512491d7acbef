package app.velvetcrock.door;

import app.velvetcrock.web.upkeep.Clears;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Limits guessing at passwords: an attempt is counted in the database before the password is looked at, and forgotten when it
 * was right, so that neither several instances nor many guesses at once get round it.
 *
 * <p>Who guesses wrong at an account waits longer each time, by the address the guesses come from; guesses of others never
 * make its owner wait, they only shorten the patience with new addresses. Nobody who is signed in is touched.
 */
@Component
class SignInLimit implements Clears {

    /** Wrong guesses of one address at one account before it has to wait. */
    static final int FREE = 5;

    /** The same once an account is being guessed at from many sides. */
    private static final int FREE_WHEN_BESIEGED = 2;

    private static final int SIEGE = 40;

    /** Wrong guesses of one address at anything before it has to wait for the window to pass. */
    private static final int PER_ADDRESS = 60;

    private static final int TAKEN_ANSWERS = 10;
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final int LONGEST_EXPONENT = 10;

    private final JdbcClient sql;
    private final Clock clock;

    SignInLimit(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    @Override
    public int clear(int most) {
        return sql.sql(
                        "delete from sign_in_attempt where ctid in (select ctid from sign_in_attempt where at < :before limit :most)")
                .param("before", Timestamp.from(clock.instant().minus(WINDOW.multipliedBy(2))))
                .param("most", most)
                .update();
    }

    /** Counts an attempt, and tells whether it may be looked at. One that may not is not counted again. */
    boolean mayTry(String email, String address) {
        Tries pair = tries(pair(email, address));
        Tries account = tries(account(email));
        if (tries(at(address)).count() >= PER_ADDRESS
                || pair.next(account.count() >= SIEGE ? FREE_WHEN_BESIEGED : FREE)
                        .isAfter(clock.instant())) {
            return false;
        }
        write(pair(email, address));
        write(account(email));
        write(at(address));
        // Those who came at the very same moment are all counted now; no more of them than are free go on.
        return tries(pair(email, address)).count() <= pair.count() + 1
                || tries(pair(email, address)).count() <= FREE;
    }

    /** Forgets what somebody who got in got wrong from there. */
    void forget(String email, String address) {
        int wrong = tries(pair(email, address)).count();
        sql.sql("delete from sign_in_attempt where who = :who")
                .param("who", pair(email, address))
                .update();
        forgetLatest(account(email), wrong);
        forgetLatest(at(address), wrong);
    }

    /** Tells whether an address may be told once more that an email is taken. */
    boolean maySayTaken(String address) {
        String who = key("taken", address);
        if (tries(who).count() >= TAKEN_ANSWERS) {
            return false;
        }
        write(who);
        return true;
    }

    private void forgetLatest(String who, int many) {
        sql.sql("delete from sign_in_attempt where ctid in (select ctid from sign_in_attempt where who = :who "
                        + "order by at desc limit :many)")
                .param("who", who)
                .param("many", many)
                .update();
    }

    /** How often within the window, and when last. */
    private record Tries(int count, Instant last) {

        /** When the next attempt may come: at once while some are free, then after twice as long each time. */
        Instant next(int free) {
            if (count < free) {
                return Instant.MIN;
            }
            Duration wait = Duration.ofSeconds(1L << Math.min(LONGEST_EXPONENT, count - free + 1));
            return last.plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait);
        }
    }

    private Tries tries(String who) {
        return sql.sql("select count(*), max(at) from sign_in_attempt where who = :who and at > :since")
                .param("who", who)
                .param("since", Timestamp.from(clock.instant().minus(WINDOW)))
                .query((row, n) -> new Tries(
                        row.getInt(1),
                        row.getTimestamp(2) == null
                                ? Instant.EPOCH
                                : row.getTimestamp(2).toInstant()))
                .single();
    }

    private void write(String who) {
        sql.sql("delete from sign_in_attempt where who = :who and at < :since")
                .param("who", who)
                .param("since", Timestamp.from(clock.instant().minus(WINDOW)))
                .update();
        sql.sql("insert into sign_in_attempt (who, at) values (:who, :at)")
                .param("who", who)
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    private static String pair(String email, String address) {
        return key("pair", email.strip().toLowerCase(Locale.ROOT) + " " + address);
    }

    private static String account(String email) {
        return key("as", email.strip().toLowerCase(Locale.ROOT));
    }

    private static String at(String address) {
        return key("at", address);
    }

    /** Hashed, since what is typed may be of any length and is nobody's business later. */
    private static String key(String kind, String of) {
        try {
            return kind + " "
                    + HexFormat.of()
                            .formatHex(
                                    MessageDigest.getInstance("SHA-256").digest(of.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
