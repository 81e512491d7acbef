package app.velvetcrock.stillroom;

import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts and the stillrooms they belong to. */
@Service
public class People implements UserDetailsService {

    /** So long somebody who went may be taken back. */
    private static final Duration MAY_COME_BACK = Duration.ofDays(1);

    private final AccountRepository accounts;
    private final StillroomRepository stillrooms;
    private final PasswordEncoder passwords;
    private final JdbcClient sql;
    private final Trip trip;
    private final Clock clock;
    private final ObjectProvider<Leaving> leaving;

    People(
            AccountRepository accounts,
            StillroomRepository stillrooms,
            PasswordEncoder passwords,
            JdbcClient sql,
            Trip trip,
            Clock clock,
            ObjectProvider<Leaving> leaving) {
        this.accounts = accounts;
        this.stillrooms = stillrooms;
        this.passwords = passwords;
        this.sql = sql;
        this.trip = trip;
        this.clock = clock;
        this.leaving = leaving;
    }

    /** A new person as typed at the door. */
    public record NewPerson(String email, String password, String name) {}

    @Override
    @Transactional(readOnly = true)
    public SignedIn loadUserByUsername(String email) {
        return Optional.of(email.strip())
                .filter(typed -> typed.indexOf(0) < 0)
                .flatMap(accounts::findByEmail)
                .map(account ->
                        signedIn(account, accounts.latestStillroom(account.id()).orElse(SignedIn.NOWHERE)))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Whoever email and password belong to; empty where they do not belong together, in the same time. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> whoIs(String email, String password) {
        Optional<Account> account =
                Optional.of(email.strip()).filter(typed -> typed.indexOf(0) < 0).flatMap(accounts::findByEmail);
        if (account.isEmpty()) {
            takeTime();
            return Optional.empty();
        }
        return account.filter(found -> passwords.matches(password, found.passwordHash()))
                .map(found ->
                        signedIn(found, accounts.latestStillroom(found.id()).orElse(SignedIn.NOWHERE)));
    }

    /** Spends the time a password takes to be kept. */
    public void takeTime() {
        passwords.encode("whatever it is");
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
     * Somebody who went.
     *
     * @param withdrawn what of theirs leads nowhere any more, a sentence each
     */
    public record Gone(Member member, List<String> withdrawn) {}

    /** Lets somebody go, with every link, address and token they made; what they wrote keeps their name. The last one stays. */
    @Transactional
    public Gone leave(UUID account) {
        lock();
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
        List<String> withdrawn = leaving.stream()
                .flatMap(what -> what.left(account).stream())
                .sorted()
                .toList();
        leaving.forEach(what -> what.ended(account));
        return new Gone(member, withdrawn);
    }

    /** One at a time, so that the last two cannot both go. */
    private void lock() {
        sql.sql("select id from stillroom where id = :stillroom for update")
                .param("stillroom", Current.stillroom())
                .query(UUID.class)
                .single();
    }

    /** Who went within a day and may still be taken back, the latest first. */
    @Transactional(readOnly = true)
    public List<Member> justLeft() {
        return sql.sql(
                        "select a.id, a.name, a.email, m.left_at from membership m join account a on a.id = m.account_id "
                                + "where m.stillroom_id = :stillroom and m.left_at > :since order by m.left_at desc, a.id")
                .param("stillroom", Current.stillroom())
                .param("since", Timestamp.from(clock.instant().minus(MAY_COME_BACK)))
                .query((row, at) -> new Member(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant()))
                .list();
    }

    /** Lets somebody who went within a day belong here again; what was withdrawn stays so. */
    @Transactional
    public Member takeBack(UUID account) {
        lock();
        Member member = justLeft().stream()
                .filter(one -> one.account().equals(account))
                .findFirst()
                .orElseThrow(() -> new NotHere("that person"));
        sql.sql("update membership set left_at = null where stillroom_id = :stillroom and account_id = :account")
                .param("stillroom", Current.stillroom())
                .param("account", account)
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

    /** Changes the password, which ends every sign-in by the old one; empty when that is not right, else who they are from now on. */
    @Transactional
    public Optional<SignedIn> changePassword(String oldPassword, String newPassword) {
        Account account = accounts.findById(Current.person().account()).orElseThrow();
        if (!passwords.matches(oldPassword, account.passwordHash())) {
            return Optional.empty();
        }
        account.changePassword(Objects.requireNonNull(passwords.encode(newPassword)));
        leaving.forEach(what -> what.ended(account.id()));
        return Optional.of(signedIn(account, Current.stillroom()));
    }

    /** Opens a stillroom for somebody who belongs to none. */
    @Transactional
    public Optional<SignedIn> setUp(UUID person, HouseSettings settings) {
        return accounts.findById(person)
                .filter(account -> accounts.latestStillroom(account.id()).isEmpty())
                .map(account -> {
                    Stillroom stillroom = stillrooms.saveAndFlush(new Stillroom(settings, false, clock.instant()));
                    belong(stillroom.id(), account.id());
                    return signedIn(account, stillroom.id());
                });
    }

    /** The names of everybody in the current stillroom. */
    @Transactional(readOnly = true)
    public Map<UUID, String> namesHere() {
        return trip.answer(names());
    }

    /** Asks for the names of everybody in the current stillroom. */
    public Question<Map<UUID, String>> names() {
        return new Question<>(
                "names",
                Current.person(),
                "select a.id, a.name from account a join membership m on m.account_id = a.id where m.stillroom_id = :stillroom",
                Map.of("stillroom", Current.stillroom()),
                rows -> {
                    Map<UUID, String> names = new HashMap<>();
                    while (rows.next()) {
                        names.put(rows.getObject(1, UUID.class), rows.getString(2));
                    }
                    return names;
                });
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
        return new SignedIn(
                account.id(),
                stillroom,
                account.email(),
                account.name(),
                account.passwordHash(),
                account.passwordVersion());
    }
}
