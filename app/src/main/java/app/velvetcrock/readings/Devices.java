package app.velvetcrock.readings;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.Leaving;
import app.velvetcrock.stillroom.Secrets;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The household's probes and scales, each with a token of its own that is shown once and kept as its hash. */
@Component
public class Devices implements Leaving {

    /** [E] More than any kitchen has; a mistake in a loop ends here. */
    private static final int MOST = 50;

    private final JdbcClient sql;
    private final Households households;
    private final Clock clock;

    Devices(JdbcClient sql, Households households, Clock clock) {
        this.sql = sql;
        this.households = households;
        this.clock = clock;
    }

    /** A device with its token, which nobody is told again. */
    public record Made(UUID id, String token) {}

    /** Makes a device of the household that speaks for whoever makes it. */
    @Transactional
    public Made make(DeviceKind kind, String name) {
        households.oneAtATime();
        List<Device> all = all();
        if (all.size() >= MOST) {
            throw new Refused("There are %d devices already; take one away first.".formatted(MOST));
        }
        if (all.stream().anyMatch(device -> device.name().equalsIgnoreCase(name))) {
            throw new Refused("name", "There is a device of this name already.", "another name");
        }
        Made made = new Made(UUID.randomUUID(), Secrets.fresh());
        insert(made.id(), kind, name, made.token());
        return made;
    }

    private void insert(UUID id, DeviceKind kind, String name, String token) {
        sql.sql(
                        """
                        insert into device (stillroom_id, id, kind, name, token_hash, account_id, made_at)
                        values (:stillroom, :id, :kind, :name, :hash, :account, :now)""")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("kind", kind.name())
                .param("name", name)
                .param("hash", Secrets.hash(token))
                .param("account", Current.person().account())
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }

    /** Makes a device that speaks with a token that is there already; one that does so stays as it is. For stand-ins alone. */
    @Transactional
    public UUID adopt(DeviceKind kind, String name, String token) {
        return speaks(token)
                .filter(one -> one.stillroom().equals(Current.stillroom()))
                .map(Speaker::device)
                .orElseGet(() -> {
                    UUID id = UUID.randomUUID();
                    insert(id, kind, name, token);
                    return id;
                });
    }

    /** Lets nobody speak with a device's token any more; what it said stays. */
    @Transactional
    public void revoke(UUID id) {
        int gone = sql.sql(
                        "update device set revoked_at = :now where stillroom_id = :stillroom and id = :id and revoked_at is null")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("now", Timestamp.from(clock.instant()))
                .update();
        if (gone == 0) {
            throw new NotHere("that device");
        }
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<String> left(UUID account) {
        List<String> silent = sql.sql(
                        "update device set revoked_at = :now where stillroom_id = :stillroom and account_id = :account "
                                + "and revoked_at is null returning name")
                .param("stillroom", Current.stillroom())
                .param("account", account)
                .param("now", Timestamp.from(clock.instant()))
                .query(String.class)
                .list();
        return silent.isEmpty()
                ? Optional.empty()
                : Optional.of("Silent until somebody gives it a new token: %s.".formatted(String.join(", ", silent)));
    }

    /** Those whose tokens hold, by name. */
    @Transactional(readOnly = true)
    public List<Device> all() {
        return sql.sql(
                        """
                        select id, kind, name, made_at, seen_at from device
                        where stillroom_id = :stillroom and revoked_at is null order by lower(name)""")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Device(
                        row.getObject(1, UUID.class),
                        DeviceKind.valueOf(row.getString(2)),
                        row.getString(3),
                        row.getTimestamp(4).toInstant(),
                        instant(row.getTimestamp(5))))
                .list();
    }

    private static Optional<Instant> instant(@Nullable Timestamp at) {
        return Optional.ofNullable(at).map(Timestamp::toInstant);
    }

    /** Whose device a token is, as long as who made it belongs there. */
    public record Speaker(UUID stillroom, UUID device, DeviceKind kind, UUID account) {}

    /** Who speaks with a token: looked up before any household is known, by the token alone. */
    @Transactional(readOnly = true)
    public Optional<Speaker> speaks(String token) {
        return sql.sql(
                        "select stillroom_id, id, kind, account_id from device where token_hash = :hash and revoked_at is null")
                .param("hash", Secrets.hash(token))
                .query((row, at) -> new Speaker(
                        row.getObject(1, UUID.class),
                        row.getObject(2, UUID.class),
                        DeviceKind.valueOf(row.getString(3)),
                        row.getObject(4, UUID.class)))
                .optional();
    }

    /** Notes that a device spoke. */
    @Transactional
    public void seen(UUID id) {
        sql.sql("update device set seen_at = :now where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }
}
