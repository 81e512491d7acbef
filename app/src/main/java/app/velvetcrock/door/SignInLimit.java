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
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Limits guessing at passwords: an attempt is counted in the database before the password is looked at, and forgotten when it
 * was right, so that neither several instances nor many guesses at once get round it.
 *
 * <p>Who guesses wrong at an account waits longer each time, by the address the guesses come from; guesses of others never
 * make its owner wait, they only shorten the patience with new addresses. Nobody who is signed in is touched, and nobody who once
 * came in rightly from an address waits for what others guess there.
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

    private static final Duration WINDOW = Duration.ofMinutes(15);

    /** Within which so many may be signed up. */
    private static final Duration AN_HOUR = Duration.ofHours(1);

    /** How long it is known that somebody once came in rightly from an address. */
    private static final Duration KNOWN = Duration.ofDays(90);

    private static final String WELCOME = "in ";
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final int LONGEST_EXPONENT = 10;

    private final JdbcClient sql;
    private final Clock clock;
    private final int ofOneAddress;
    private final int ofAll;

    /**
     * Counts in the database.
     *
     * @param ofOneAddress so many may be signed up from one address within an hour
     * @param ofAll so many from all of them together
     */
    SignInLimit(
            JdbcClient sql,
            Clock clock,
            @Value("${crock.sign-ups-of-one}") int ofOneAddress,
            @Value("${crock.sign-ups-of-all}") int ofAll) {
        this.sql = sql;
        this.clock = clock;
        this.ofOneAddress = ofOneAddress;
        this.ofAll = ofAll;
    }

    @Override
    public int clear(int most) {
        return sql.sql("delete from sign_in_attempt where ctid in (select ctid from sign_in_attempt where at < :known "
                        + "or at < :before and who not like :welcome limit :most)")
                .param("known", Timestamp.from(clock.instant().minus(KNOWN)))
                .param("before", Timestamp.from(clock.instant().minus(AN_HOUR.multipliedBy(2))))
                .param("welcome", WELCOME + "%")
                .param("most", most)
                .update();
    }

    /** Counts an attempt, and tells whether it may be looked at. One that may not is not counted again. */
    boolean mayTry(String email, String address) {
        Tries pair = tries(pair(email, address));
        Tries account = tries(account(email));
        boolean guesses = tries(at(address)).count() >= PER_ADDRESS && !isKnown(email, address);
        if (guesses
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

    /** Somebody came in rightly: what they got wrong from there is forgotten, and that they were there is not. */
    void cameIn(String email, String address) {
        int wrong = tries(pair(email, address)).count();
        sql.sql("delete from sign_in_attempt where who in (:pair, :in)")
                .param("pair", pair(email, address))
                .param("in", in(email, address))
                .update();
        forgetLatest(account(email), wrong);
        forgetLatest(at(address), wrong);
        write(in(email, address), KNOWN);
    }

    /** Whoever came in rightly from an address before is not kept out for what others guess there. */
    private boolean isKnown(String email, String address) {
        return tries(in(email, address), KNOWN).count() > 0;
    }

    /** Counts one who would be signed up, and tells whether they may be, or be told that they are already. */
    boolean maySignUp(String address) {
        return mayOneMore(key("up", address), ofOneAddress) && mayOneMore(key("up", ""), ofAll);
    }

    private boolean mayOneMore(String who, int most) {
        if (tries(who, AN_HOUR).count() >= most) {
            return false;
        }
        write(who, AN_HOUR);
        return tries(who, AN_HOUR).count() <= most;
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
        return tries(who, WINDOW);
    }

    private Tries tries(String who, Duration within) {
        return sql.sql("select count(*), max(at) from sign_in_attempt where who = :who and at > :since")
                .param("who", who)
                .param("since", Timestamp.from(clock.instant().minus(within)))
                .query((row, n) -> new Tries(
                        row.getInt(1),
                        row.getTimestamp(2) == null
                                ? Instant.EPOCH
                                : row.getTimestamp(2).toInstant()))
                .single();
    }

    private void write(String who) {
        write(who, WINDOW);
    }

    private void write(String who, Duration within) {
        sql.sql("delete from sign_in_attempt where who = :who and at < :since")
                .param("who", who)
                .param("since", Timestamp.from(clock.instant().minus(within)))
                .update();
        sql.sql("insert into sign_in_attempt (who, at) values (:who, :at)")
                .param("who", who)
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    private static String pair(String email, String address) {
        return key("pair", email.strip().toLowerCase(Locale.ROOT) + " " + address);
    }

    private static String in(String email, String address) {
        return key(WELCOME.strip(), email.strip().toLowerCase(Locale.ROOT) + " " + address);
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
