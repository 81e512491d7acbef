package app.velvetcrock.parting;

import app.velvetcrock.core.parting.GiftsAsked;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gifts that are to be given: so many people, each so many of a thing, ticked off one by one. */
@Service
public class GiftLists {

    private final JdbcClient sql;
    private final Parting parting;
    private final Persons persons;
    private final Leavings leavings;
    private final Clock clock;

    GiftLists(JdbcClient sql, Parting parting, Persons persons, Leavings leavings, Clock clock) {
        this.sql = sql;
        this.parting = parting;
        this.persons = persons;
        this.leavings = leavings;
        this.clock = clock;
    }

    /** A list; {@code lot} of what, once that is chosen. */
    public record GiftList(UUID id, String name, Optional<UUID> lot) {}

    /**
     * A gift of a list.
     *
     * @param person absent while nobody is named
     * @param who what is to be minded: hers where she is named
     * @param movement by which it was given; absent while it is not
     */
    public record Gift(
            UUID id, Optional<Person> person, Recipient who, String words, int pieces, Optional<UUID> movement) {

        public boolean isGiven() {
            return movement.isPresent();
        }
    }

    /** The lists, the newest first. */
    @Transactional(readOnly = true)
    public List<GiftList> all() {
        return lists("and dropped_at is null order by added_at desc limit 100", Map.of());
    }

    @Transactional(readOnly = true)
    public GiftList find(UUID list) {
        return lists("and id = :list", Map.of("list", list)).stream()
                .findFirst()
                .orElseThrow(() -> new NotHere("that list of gifts"));
    }

    private List<GiftList> lists(String where, Map<String, ?> with) {
        return sql.sql("select id, name, lot_id from gift_list where stillroom_id = :stillroom " + where)
                .param("stillroom", Current.stillroom())
                .params(with)
                .query((row, at) -> new GiftList(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        Optional.ofNullable(row.getObject(3, UUID.class))))
                .list();
    }

    /** Its gifts, in the order they were asked for. */
    @Transactional(readOnly = true)
    public List<Gift> gifts(UUID list) {
        return sql.sql(
                        "select g.id, g.recipient_id, g.uses, g.avoids, g.words, g.pieces, g.movement_id, r.nickname, r.uses, "
                                + "r.avoids, r.note, " + Person.REACTS
                                + " from gift g left join recipient r on r.stillroom_id = g.stillroom_id "
                                + "and r.id = g.recipient_id where g.stillroom_id = :stillroom and g.list_id = :list "
                                + "and g.dropped_at is null order by g.place")
                .param("stillroom", Current.stillroom())
                .param("list", list)
                .query((row, at) -> {
                    @Nullable UUID person = row.getObject(2, UUID.class);
                    Recipient own = Person.read(row.getString(3), row.getString(4));
                    Optional<Person> named = person == null
                            ? Optional.empty()
                            : Optional.of(new Person(
                                    person,
                                    row.getString(8),
                                    Person.read(row.getString(9), row.getString(10), row.getString(12)),
                                    row.getString(11)));
                    return new Gift(
                            row.getObject(1, UUID.class),
                            named,
                            named.map(Person::who).orElse(own),
                            row.getString(5),
                            row.getInt(6),
                            Optional.ofNullable(row.getObject(7, UUID.class)));
                })
                .list();
    }

    /** Makes a list of what was asked for in one sentence. */
    @Transactional
    public UUID add(String name, GiftsAsked asked) {
        UUID list = UUID.randomUUID();
        sql.sql("insert into gift_list (stillroom_id, id, name, added_at) values (:stillroom, :id, :name, :at)")
                .param("stillroom", Current.stillroom())
                .param("id", list)
                .param("name", name)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        int place = 0;
        for (GiftsAsked.Group group : asked.groups()) {
            for (int i = 0; i < group.count(); i++) {
                put(list, place++, group.who(), group.words(), asked.each());
            }
        }
        return list;
    }

    private void put(UUID list, int place, Recipient who, String words, int pieces) {
        sql.sql("insert into gift (stillroom_id, id, list_id, place, uses, avoids, words, pieces) "
                        + "values (:stillroom, :id, :list, :place, :uses, :avoids, :words, :pieces)")
                .param("stillroom", Current.stillroom())
                .param("id", UUID.randomUUID())
                .param("list", list)
                .param("place", place)
                .param("uses", Person.stored(who.uses()))
                .param("avoids", Person.stored(who.avoids()))
                .param("words", words.substring(0, Math.min(200, words.length())))
                .param("pieces", pieces)
                .update();
    }

    /** Says of what its gifts are. */
    @Transactional
    public void of(UUID list, UUID lot) {
        find(list);
        sql.sql("update gift_list set lot_id = :lot where stillroom_id = :stillroom and id = :list")
                .param("stillroom", Current.stillroom())
                .param("list", list)
                .param("lot", lot)
                .update();
    }

    /** Says whom a gift is for; what is to be minded of her counts from then on, and what was said of the gift goes with her. */
    @Transactional
    public void name(UUID list, UUID gift, String nickname) {
        Gift one = one(list, gift);
        Person person = persons.named(nickname);
        if (person.who().equals(Recipient.ANYBODY) && !one.who().equals(Recipient.ANYBODY)) {
            persons.change(new Person(person.id(), person.nickname(), one.who(), person.note()));
        }
        sql.sql("update gift set recipient_id = :person where stillroom_id = :stillroom and id = :gift")
                .param("stillroom", Current.stillroom())
                .param("gift", gift)
                .param("person", person.id())
                .update();
    }

    private Gift one(UUID list, UUID gift) {
        find(list);
        return gifts(list).stream()
                .filter(one -> one.id().equals(gift))
                .findFirst()
                .orElseThrow(() -> new NotHere("that gift"));
    }

    /** Gives it: so many leave the house. */
    @Transactional
    public UUID give(UUID list, UUID gift, UUID lot, Parting.Once once) {
        // Two who tick the same at once give it once.
        sql.sql("select id from gift where stillroom_id = :stillroom and id = :gift for update")
                .param("stillroom", Current.stillroom())
                .param("gift", gift)
                .query(UUID.class)
                .optional();
        Gift one = one(list, gift);
        if (one.isGiven()) {
            throw new Refused.AlreadyDone("That is given already.");
        }
        UUID movement = parting.pieces(
                lot,
                one.pieces(),
                Leaving.Kind.GIVEN,
                one.person().map(person -> Parting.Terms.to(person.id())).orElse(Parting.Terms.NONE),
                once);
        move(gift, movement);
        return movement;
    }

    /** Takes it back. */
    @Transactional
    public void takeBack(UUID list, UUID gift) {
        one(list, gift)
                .movement()
                .ifPresent(movement -> parting.takeBack(leavings.find(movement).lot(), movement));
    }

    private void move(UUID gift, UUID movement) {
        sql.sql("update gift set movement_id = :movement where stillroom_id = :stillroom and id = :gift")
                .param("stillroom", Current.stillroom())
                .param("gift", gift)
                .param("movement", movement)
                .update();
    }

    /** One less, or one again. */
    @Transactional
    public void drop(UUID list, UUID gift, boolean dropped) {
        find(list);
        int there = sql.sql(
                        "update gift set dropped_at = :at where stillroom_id = :stillroom and id = :gift and list_id = :list "
                                + "and movement_id is null")
                .param("stillroom", Current.stillroom())
                .param("gift", gift)
                .param("list", list)
                .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("that gift, not given yet,");
        }
    }

    /** The list is put away, or is there again; what was given stays given. */
    @Transactional
    public void dropList(UUID list, boolean dropped) {
        find(list);
        sql.sql("update gift_list set dropped_at = :at where stillroom_id = :stillroom and id = :list")
                .param("stillroom", Current.stillroom())
                .param("list", list)
                .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                .update();
    }
}
