package app.velvetcrock.stall;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Leavings;
import app.velvetcrock.parting.Person;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Those who get things: whom she uses them for, what she must not have, and what she got. */
@Controller
class PersonController {

    private static final String PLACE = "/cupboard/people";
    private static final int LONGEST = 60;
    private static final int LONGEST_NOTE = 300;

    /** Whom something may be used for by somebody it is given to. */
    private static final Set<Use> ASKED = EnumSet.of(
            Use.NEWBORN,
            Use.BABY,
            Use.CHILD_2_5,
            Use.CHILD_6_14,
            Use.PREGNANCY,
            Use.NURSING,
            Use.NURSLING,
            Use.ELDERLY,
            Use.LIPS,
            Use.FACE,
            Use.WITH_LATEX,
            Use.ANIMALS);

    private final Persons persons;
    private final Leavings leavings;
    private final Stores stores;
    private final Households households;

    PersonController(Persons persons, Leavings leavings, Stores stores, Households households) {
        this.persons = persons;
        this.leavings = leavings;
        this.stores = stores;
        this.households = households;
    }

    /** Somebody, as typed. */
    record PersonForm(
            @Nullable UUID key,
            @Nullable String nickname,
            @Nullable List<String> uses,
            @Nullable List<String> avoids,
            @Nullable String note) {

        static final PersonForm EMPTY = new PersonForm(null, "", List.of(), List.of(), "");

        static PersonForm of(Person person) {
            return new PersonForm(
                    null,
                    person.nickname(),
                    person.who().uses().stream().map(Use::name).toList(),
                    List.copyOf(person.who().avoids()),
                    person.note());
        }

        public boolean has(String key) {
            return ticked(uses).contains(key) || ticked(avoids).contains(key);
        }

        static List<String> ticked(@Nullable List<String> ticks) {
            return ticks == null ? List.of() : ticks;
        }
    }

    /** Somebody in the list. */
    record Row(UUID id, String nickname, String minded) {}

    /** What she got. */
    record Got(String when, String words, String href, String price) {}

    @GetMapping(PLACE)
    String people(Model model) {
        return list(model, Sent.nothing(fields(), PersonForm.EMPTY));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String list(Model model, Sent<PersonForm> sent) {
        model.addAttribute("sent", sent);
        model.addAttribute(
                "people",
                persons.all().stream()
                        .map(one -> new Row(one.id(), one.nickname(), one.minded()))
                        .toList());
        choices(model);
        return "stall/people";
    }

    private static void choices(Model model) {
        model.addAttribute("uses", ASKED);
        model.addAttribute(
                "avoidable",
                Recipient.AVOIDABLE.entrySet().stream()
                        .map(one ->
                                new Fields.Option(one.getKey(), one.getValue().word()))
                        .toList());
    }

    @PostMapping(PLACE)
    String add(PersonForm form, Reply reply) {
        Fields fields = fields();
        Optional<Person> person = read(form, UUID.randomUUID(), fields);
        return reply.answer(
                new FormSent("n-", key(form), fields, PLACE),
                () -> list(reply.model(), new Sent<>("add", fields, form, PersonForm.EMPTY)),
                () -> {
                    Person said = person.orElseThrow();
                    UUID id = persons.add(said.nickname(), said.who(), said.note());
                    return new Done(
                            PLACE, "%s is written down.".formatted(said.nickname()), "%s/%s/drop".formatted(PLACE, id));
                });
    }

    private static UUID key(PersonForm form) {
        return form.key() == null ? UUID.randomUUID() : form.key();
    }

    private static Optional<Person> read(PersonForm form, UUID id, Fields fields) {
        Optional<String> nickname = fields.words("nickname", form.nickname(), LONGEST);
        Optional<String> note = fields.optionalWords("note", form.note(), LONGEST_NOTE);
        Set<Use> uses = ASKED.stream()
                .filter(use -> PersonForm.ticked(form.uses()).contains(use.name()))
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Use.class)));
        Set<String> avoids = new TreeSet<>(PersonForm.ticked(form.avoids()));
        avoids.retainAll(Recipient.AVOIDABLE.keySet());
        return nickname.map(name -> new Person(id, name, new Recipient(uses, avoids), note.orElse("")));
    }

    @GetMapping(PLACE + "/{person}")
    String person(@PathVariable UUID person, Model model) {
        return show(model, person, Sent.nothing(fields(), PersonForm.of(persons.find(person))));
    }

    private String show(Model model, UUID id, Sent<PersonForm> sent) {
        House house = households.current();
        Person person = persons.find(id);
        List<Leaving> all = leavings.ofPerson(id);
        Map<UUID, Stock.OfLot> lots = stores
                .among(all.stream().map(Leaving::lot).collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(Stock.OfLot::id, Function.identity()));
        model.addAttribute("sent", sent);
        model.addAttribute("person", person);
        model.addAttribute("minded", person.minded());
        model.addAttribute(
                "got",
                all.stream()
                        .map(one -> got(one, Objects.requireNonNull(lots.get(one.lot())), house))
                        .toList());
        choices(model);
        return "stall/person";
    }

    private static Got got(Leaving one, Stock.OfLot lot, House house) {
        return new Got(
                house.moment(one.at()),
                "%s%s, %s"
                        .formatted(
                                one.pieces().map(pieces -> pieces + " × ").orElse(""),
                                lot.name(),
                                one.kind().word()),
                Places.of(lot),
                one.price().map(house::money).orElse(""));
    }

    @PostMapping(PLACE + "/{person}")
    String change(@PathVariable UUID person, PersonForm form, Reply reply) {
        Person before = persons.find(person);
        Fields fields = fields();
        Optional<Person> said = read(form, person, fields);
        String page = PLACE + "/" + person;
        return reply.answer(
                new FormSent("n-", key(form), fields, page),
                () -> show(reply.model(), person, new Sent<>("change", fields, form, PersonForm.of(before))),
                () -> {
                    persons.change(said.orElseThrow());
                    return new Done(page, "Kept so.");
                });
    }

    @PostMapping(PLACE + "/{person}/drop")
    String drop(@PathVariable UUID person, @Nullable String back, Reply reply) {
        String name = persons.find(person).nickname();
        return reply.tap(PLACE, () -> {
            persons.drop(person, back == null);
            return back == null
                    ? new Done(
                            PLACE,
                            "%s is not offered any more; what was given stays written.".formatted(name),
                            "%s/%s/drop?back=yes".formatted(PLACE, person))
                    : new Done(PLACE, "%s is there again.".formatted(name));
        });
    }
}
