package app.velvetcrock.stillroom;

import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
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
                .flatMap(account ->
                        accounts.latestStillroom(account.id()).map(stillroom -> signedIn(account, stillroom)))
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
        belong(stillroom.id(), account.id());
        return signedIn(account, stillroom.id());
    }

    /** Makes an account that belongs to a stillroom there is. */
    @Transactional
    SignedIn joinAnew(UUID stillroom, NewPerson person) {
        Account account = accounts.saveAndFlush(new Account(
                person.email().strip(),
                Objects.requireNonNull(passwords.encode(person.password())),
                person.name(),
                clock.instant()));
        belong(stillroom, account.id());
        return signedIn(account, stillroom);
    }

    /** Lets an account there is belong to a stillroom too; empty where email and password do not belong together. */
    @Transactional
    Optional<SignedIn> joinAgain(UUID stillroom, String email, String password) {
        Optional<Account> account = Optional.of(email.strip())
                .filter(typed -> typed.indexOf(0) < 0)
                .flatMap(accounts::findByEmail)
                .filter(found -> passwords.matches(password, found.passwordHash()));
        account.ifPresent(found -> belong(stillroom, found.id()));
        return account.map(found -> signedIn(found, stillroom));
    }

    private void belong(UUID stillroom, UUID account) {
        sql.sql("insert into membership (stillroom_id, account_id, joined_at) values (:stillroom, :account, :at) "
                        + "on conflict (stillroom_id, account_id) do update set joined_at = :at, left_at = null")
                .param("stillroom", stillroom)
                .param("account", account)
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** Somebody who belongs to the stillroom now. */
    public record Member(UUID account, String name, String email, Instant joined) {}

    /** Everybody who belongs to it now, the longest first. */
    @Transactional(readOnly = true)
    public List<Member> members() {
        return sql.sql(
                        "select a.id, a.name, a.email, m.joined_at from membership m join account a on a.id = m.account_id "
                                + "where m.stillroom_id = :stillroom and m.left_at is null order by m.joined_at, a.id")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Member(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant()))
                .list();
    }

    /**
     * Lets somebody go; what they wrote keeps their name. The last one stays.
     *
     * @return who went
     */
    @Transactional
    public Member leave(UUID account) {
        // One at a time, so that the last two cannot both go.
        sql.sql("select id from stillroom where id = :stillroom for update")
                .param("stillroom", Current.stillroom())
                .query(UUID.class)
                .single();
        List<Member> members = members();
        Member member = members.stream()
                .filter(one -> one.account().equals(account))
                .findFirst()
                .orElseThrow(() -> new NotHere("that person"));
        if (members.size() == 1) {
            throw new Refused("%s is the last one here; a stillroom is not left empty.".formatted(member.name()));
        }
        sql.sql("update membership set left_at = :at where stillroom_id = :stillroom and account_id = :account")
                .param("stillroom", Current.stillroom())
                .param("account", account)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return member;
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

    /** Every stillroom there is; for the upkeep of all of them, never for a page. */
    @Transactional(readOnly = true)
    public List<UUID> stillrooms() {
        return sql.sql("select distinct stillroom_id from membership where left_at is null order by stillroom_id")
                .query(UUID.class)
                .list();
    }

    /** Whoever belongs to a stillroom for longest; for what is opened by a secret of that stillroom, not by a person. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> anybodyOf(UUID stillroom) {
        return sql.sql(
                        "select account_id from membership where stillroom_id = :stillroom and left_at is null order by joined_at limit 1")
                .param("stillroom", stillroom)
                .query(UUID.class)
                .optional()
                .flatMap(accounts::findById)
                .map(account -> signedIn(account, stillroom));
    }

    /** Somebody who belongs to a stillroom now; for what speaks in their name. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> member(UUID stillroom, UUID account) {
        return sql.sql(
                        "select account_id from membership where stillroom_id = :stillroom and account_id = :account and left_at is null")
                .param("stillroom", stillroom)
                .param("account", account)
                .query(UUID.class)
                .optional()
                .flatMap(accounts::findById)
                .map(found -> signedIn(found, stillroom));
    }

    private static SignedIn signedIn(Account account, UUID stillroom) {
        return new SignedIn(account.id(), stillroom, account.email(), account.name(), account.passwordHash());
    }
}
