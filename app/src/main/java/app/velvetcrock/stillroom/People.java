package app.velvetcrock.stillroom;

import app.velvetcrock.web.PerRequest;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts and the stillrooms they belong to. */
@Service
public class People implements UserDetailsService {

    private final AccountRepository accounts;
    private final StillroomRepository stillrooms;
    private final PasswordEncoder passwords;
    private final JdbcClient sql;
    private final Clock clock;

    People(
            AccountRepository accounts,
            StillroomRepository stillrooms,
            PasswordEncoder passwords,
            JdbcClient sql,
            Clock clock) {
        this.accounts = accounts;
        this.stillrooms = stillrooms;
        this.passwords = passwords;
        this.sql = sql;
        this.clock = clock;
    }

    /** A new person as typed at the door. */
    public record NewPerson(String email, String password, String name) {}

    @Override
    @Transactional(readOnly = true)
    public SignedIn loadUserByUsername(String email) {
        return Optional.of(email.strip())
                .filter(typed -> typed.indexOf(0) < 0)
                .flatMap(accounts::findByEmail)
                .flatMap(
                        account -> accounts.firstStillroom(account.id()).map(stillroom -> signedIn(account, stillroom)))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Makes an account with a stillroom of its own. A taken email fails on the database's unique index. */
    @Transactional
    public SignedIn signUp(NewPerson person, HouseSettings settings, boolean demo) {
        Account account = accounts.saveAndFlush(new Account(
                person.email().strip(),
                Objects.requireNonNull(passwords.encode(person.password())),
                person.name(),
                clock.instant()));
        Stillroom stillroom = stillrooms.saveAndFlush(new Stillroom(settings, demo, clock.instant()));
        sql.sql("insert into membership (stillroom_id, account_id, joined_at) values (:stillroom, :account, :at)")
                .param("stillroom", stillroom.id())
                .param("account", account.id())
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return signedIn(account, stillroom.id());
    }

    @Transactional(readOnly = true)
    public boolean isTaken(String email) {
        return Optional.of(email.strip())
                .filter(typed -> typed.indexOf(0) < 0)
                .flatMap(accounts::findByEmail)
                .isPresent();
    }

    /** Changes the password; false when the old one is not right. */
    @Transactional
    public boolean changePassword(String oldPassword, String newPassword) {
        Account account = accounts.findById(Current.person().account()).orElseThrow();
        if (!passwords.matches(oldPassword, account.passwordHash())) {
            return false;
        }
        account.setPasswordHash(Objects.requireNonNull(passwords.encode(newPassword)));
        return true;
    }

    /** The names of everybody in the current stillroom. */
    @Transactional(readOnly = true)
    public Map<UUID, String> namesHere() {
        return PerRequest.of("names", Current.person(), this::readNames);
    }

    private Map<UUID, String> readNames() {
        Map<UUID, String> names = new HashMap<>();
        sql.sql(
                        "select a.id, a.name from account a join membership m on m.account_id = a.id where m.stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query((RowCallbackHandler) row -> names.put(row.getObject(1, UUID.class), row.getString(2)));
        return names;
    }

    /** The person of the newest demo stillroom, when one is loaded. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> demoPerson() {
        return stillrooms.findFirstByDemoTrueOrderByCreatedAtDesc().flatMap(this::firstMember);
    }

    private Optional<SignedIn> firstMember(Stillroom stillroom) {
        return anybodyOf(stillroom.id());
    }

    /** Whoever belongs to a stillroom for longest; for what is opened by a secret of that stillroom, not by a person. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> anybodyOf(UUID stillroom) {
        return sql.sql("select account_id from membership where stillroom_id = :stillroom order by joined_at limit 1")
                .param("stillroom", stillroom)
                .query(UUID.class)
                .optional()
                .flatMap(accounts::findById)
                .map(account -> signedIn(account, stillroom));
    }

    private static SignedIn signedIn(Account account, UUID stillroom) {
        return new SignedIn(account.id(), stillroom, account.email(), account.name(), account.passwordHash());
    }
}
