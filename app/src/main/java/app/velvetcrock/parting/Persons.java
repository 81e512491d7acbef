package app.velvetcrock.parting;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.RowMapperResultSetExtractor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Those who get things from the household. */
@Service
public class Persons {

    private static final int MOST = 500;

    private static final String LIVING = "and dropped_at is null order by lower(nickname) limit " + MOST;

    private static final String COLUMNS = "select r.id, r.nickname, r.uses, r.avoids, r.note, " + Person.REACTS
            + " from recipient r where r.stillroom_id = :stillroom ";

    private final JdbcClient sql;
    private final Trip trip;
    private final Clock clock;

    Persons(JdbcClient sql, Trip trip, Clock clock) {
        this.sql = sql;
        this.trip = trip;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Person> all() {
        return trip.answer(question());
    }

    /** Asks for everybody, by nickname. */
    public Question<List<Person>> question() {
        return asked("people", "");
    }

    private static Question<List<Person>> asked(String what, String which) {
        return new Question<>(
                what,
                Current.person(),
                COLUMNS + which + LIVING,
                Map.of("stillroom", Current.stillroom()),
                new RowMapperResultSetExtractor<>(Persons::person));
    }

    private static Person person(ResultSet row, int at) throws SQLException {
        return new Person(
                row.getObject(1, UUID.class),
                row.getString(2),
                Person.read(row.getString(3), row.getString(4), row.getString(6)),
                row.getString(5));
    }

    /** The nicknames of everybody, those too that were dropped since. */
    @Transactional(readOnly = true)
    public Map<UUID, String> everybody() {
        return sql
                .sql("select id, nickname from recipient where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> Map.entry(row.getObject(1, UUID.class), row.getString(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** One of them, also of those that were dropped since. */
    @Transactional(readOnly = true)
    public Person find(UUID id) {
        return PerRequest.<List<Person>>kept("people", Current.person()).stream()
                .flatMap(List::stream)
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseGet(() -> read(id));
    }

    private Person read(UUID id) {
        return sql.sql(COLUMNS + "and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query(Persons::person)
                .optional()
                .orElseThrow(() -> new NotHere("that person"));
    }

    /** Writes somebody down. */
    @Transactional
    public UUID add(String nickname, Recipient who, String note) {
        UUID id = UUID.randomUUID();
        try {
            sql.sql("insert into recipient (stillroom_id, id, nickname, uses, avoids, note, added_at) "
                            + "values (:stillroom, :id, :nickname, :uses, :avoids, :note, :at)")
                    .param("stillroom", Current.stillroom())
                    .param("id", id)
                    .param("nickname", nickname)
                    .param("uses", Person.stored(who.uses()))
                    .param("avoids", Person.stored(who.avoids()))
                    .param("note", note)
                    .param("at", Timestamp.from(clock.instant()))
                    .update();
        } catch (DuplicateKeyException there) {
            throw new Refused("nickname", "“%s” is written down already.".formatted(nickname), "another nickname");
        }
        return id;
    }

    /** The one of a nickname; written down, with nothing to be minded, where there is none. */
    @Transactional
    public Person named(String nickname) {
        Optional<Person> there = all().stream()
                .filter(one -> one.nickname().equalsIgnoreCase(nickname))
                .findFirst();
        return there.orElseGet(() -> find(add(nickname, Recipient.ANYBODY, "")));
    }

    /** Writes down that she reacts to something; said twice it is written once. */
    @Transactional
    public void knows(UUID id, Recipient.Reacts reacts) {
        find(id);
        sql.sql("insert into known_reaction (stillroom_id, recipient_id, kind_key, name, family, since) "
                        + "values (:stillroom, :id, :key, :name, :family, :at) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("key", reacts.key())
                .param("name", reacts.name())
                .param("family", Person.stored(reacts.family()))
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** Asks for everybody who is known to react to anything. */
    public Question<List<Person>> whoReacts() {
        return asked(
                "who reacts",
                "and exists (select from known_reaction k where k.stillroom_id = r.stillroom_id and k.recipient_id = r.id) ");
    }

    /** Who is known to react to something, or to its relatives: "Inga reacts to yarrow", and what follows. */
    @Transactional(readOnly = true)
    public List<Caution> whoReactsTo(Set<String> borne) {
        List<Person> people = trip.answer(whoReacts());
        List<Caution> told = new ArrayList<>();
        for (Person person : people) {
            for (Recipient.Reacts one : person.who().reacts()) {
                String head = "%s reacts to %s".formatted(person.nickname(), one.name());
                one.in(borne)
                        .map(level -> level == Level.REFUSE
                                ? new Caution(level, head, "Nothing of this is for her skin.", true)
                                : new Caution(level, head, "A relative of that is in this: ask her first.", true))
                        .ifPresent(told::add);
            }
        }
        return told;
    }

    /** It was something else. */
    @Transactional
    public void knowsNot(UUID id, String key) {
        sql.sql("delete from known_reaction where stillroom_id = :stillroom and recipient_id = :id and kind_key = :key")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("key", key)
                .update();
    }

    @Transactional
    public void change(Person person) {
        find(person.id());
        try {
            sql.sql("update recipient set nickname = :nickname, uses = :uses, avoids = :avoids, note = :note "
                            + "where stillroom_id = :stillroom and id = :id")
                    .param("stillroom", Current.stillroom())
                    .param("id", person.id())
                    .param("nickname", person.nickname())
                    .param("uses", Person.stored(person.who().uses()))
                    .param("avoids", Person.stored(person.who().avoids()))
                    .param("note", person.note())
                    .update();
        } catch (DuplicateKeyException there) {
            throw new Refused(
                    "nickname", "“%s” is written down already.".formatted(person.nickname()), "another nickname");
        }
    }

    /** She is offered no more; what she got stays written. Or she is again. */
    @Transactional
    public void drop(UUID id, boolean dropped) {
        find(id);
        try {
            sql.sql("update recipient set dropped_at = :at where stillroom_id = :stillroom and id = :id")
                    .param("stillroom", Current.stillroom())
                    .param("id", id)
                    .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                    .update();
        } catch (DuplicateKeyException there) {
            throw new Refused("Somebody of that nickname was written down since.");
        }
    }
}
