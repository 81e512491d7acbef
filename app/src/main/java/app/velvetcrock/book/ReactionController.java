package app.velvetcrock.book;

import app.velvetcrock.condition.Findings;
import app.velvetcrock.core.book.NextStep;
import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.labelled.Printed;
import app.velvetcrock.labelled.Printings;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.parting.Person;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What she reacted to: help first, then what she used, then what it may be, and holding it back. */
@Controller
class ReactionController {

    static final String PLACE = "/book/reactions";

    private static final int LONGEST = 200;
    private static final int LONGEST_WORD = 80;
    private static final int LONGEST_NAME = 60;

    private final Trip trip;
    private final Reactions reactions;
    private final ReactionPages pages;
    private final Persons persons;
    private final Printings printings;
    private final Stores stores;
    private final HoldingBack holding;
    private final Households households;
    private final Clock clock;

    ReactionController(
            Trip trip,
            Reactions reactions,
            ReactionPages pages,
            Persons persons,
            Printings printings,
            Stores stores,
            HoldingBack holding,
            Households households,
            Clock clock) {
        this.trip = trip;
        this.reactions = reactions;
        this.pages = pages;
        this.persons = persons;
        this.printings = printings;
        this.stores = stores;
        this.holding = holding;
        this.households = households;
        this.clock = clock;
    }

    /**
     * What was used, as sent.
     *
     * @param lot a thing here; or {@code code} of its label; or {@code other}, what is none of ours
     */
    record UsedForm(
            @Nullable UUID key,
            @Nullable String nickname,
            @Nullable String lot,
            @Nullable String code,
            @Nullable String other,
            @Nullable String strength,
            @Nullable String spreading,
            @Nullable String patch,
            @Nullable String place,
            @Nullable String lasted,
            @Nullable String on) {

        static final UsedForm EMPTY = new UsedForm(null, "", "", "", "", "", null, null, "", "", "");

        public boolean isSpreading() {
            return "yes".equals(spreading);
        }

        public boolean isPatch() {
            return "yes".equals(patch);
        }

        UsedForm of(String name) {
            return new UsedForm(null, name, lot, code, other, strength, spreading, patch, place, lasted, on);
        }
    }

    @GetMapping(PLACE)
    String reactions(@Nullable UUID who, Model model) {
        List<Question<?>> foreseen = new ArrayList<>(List.of(persons.question(), Findings.open()));
        Optional.ofNullable(who).map(reactions::question).ifPresent(foreseen::add);
        trip.ahead(foreseen);
        Optional<Person> person = Optional.ofNullable(who).map(persons::find);
        return show(
                model,
                person,
                fields(),
                person.map(one -> UsedForm.EMPTY.of(one.nickname())).orElse(UsedForm.EMPTY));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(Model model, Optional<Person> person, Fields fields, UsedForm form) {
        model.addAttribute("fields", fields);
        model.addAttribute("form", form);
        model.addAttribute("people", persons.all());
        model.addAttribute("things", pages.choices());
        model.addAttribute("strengths", List.of(Strength.values()));
        model.addAttribute("help", NextStep.HELP);
        model.addAttribute("now", NextStep.NOW);
        model.addAttribute("page", person.map(pages::page).orElse(null));
        return "book/reactions";
    }

    @PostMapping(PLACE)
    String used(UsedForm form, Reply reply) {
        House house = households.current();
        Fields fields = fields();
        Optional<String> nickname = fields.words("nickname", form.nickname(), LONGEST_NAME);
        Optional<Thing> thing = thing(form, fields);
        Optional<Strength> strength = fields.oneOf("strength", Strength.class, form.strength());
        Optional<String> place = fields.optionalWords("place", form.place(), LONGEST_WORD);
        Optional<String> lasted = fields.optionalWords("lasted", form.lasted(), LONGEST_WORD);
        LocalDate today = house.dayOf(clock.instant());
        LocalDate on = fields.date("on", form.on(), house.past(clock.instant())).orElse(today);
        if (on.isAfter(today)) {
            fields.trouble("on", "What was used lies before now.", "yesterday, or leave it empty for today");
        }
        Optional<Person> shown = nickname.flatMap(name -> persons.all().stream()
                .filter(one -> one.nickname().equalsIgnoreCase(name))
                .findFirst());
        return reply.answer(
                new FormSent("r-", form.key() == null ? UUID.randomUUID() : form.key(), fields, PLACE),
                () -> show(reply.model(), shown, fields, form),
                () -> {
                    Person person = persons.named(nickname.orElseThrow());
                    Thing what = thing.orElseThrow();
                    UUID id = reactions.note(
                            new Reactions.Used(
                                    person.id(),
                                    what.lot(),
                                    what.name(),
                                    strength.orElseThrow(),
                                    form.isSpreading(),
                                    place.orElse(""),
                                    lasted.orElse(""),
                                    form.isPatch(),
                                    on),
                            Reactions.again(strength.orElseThrow(), on, today));
                    return new Done(
                            PLACE + "?who=" + person.id(),
                            "%s is written down. What else was used in seven days?".formatted(what.name()),
                            PLACE + "/" + id + "/drop");
                });
    }

    private record Thing(Optional<UUID> lot, String name) {}

    private Optional<Thing> thing(UsedForm form, Fields fields) {
        String code = form.code() == null ? "" : form.code().strip();
        if (!code.isEmpty()) {
            Optional<Thing> printed = Printings.code(code)
                    .flatMap(printings::find)
                    .filter(one -> one.of().kind() == Printed.Kind.LOT)
                    .map(one -> new Thing(
                            Optional.of(one.of().id()),
                            stores.lot(one.of().id()).name()));
            if (printed.isEmpty()) {
                fields.trouble(
                        "code",
                        "“%s” is on no label of a tin or a bottle here.".formatted(code),
                        "the eight signs, like K7QM 2RTX");
            }
            return printed;
        }
        Optional<UUID> lot = id(form.lot());
        if (lot.isPresent()) {
            return Optional.of(new Thing(lot, stores.lot(lot.orElseThrow()).name()));
        }
        Optional<String> other =
                fields.optionalWords("other", form.other(), LONGEST).filter(words -> !words.isBlank());
        if (other.isEmpty() && fields.troubleOf("other") == null) {
            fields.trouble(
                    "lot", "Say what was used.", "choose it, type its label's signs, or name it: sun cream, the sun");
        }
        return other.map(words -> new Thing(Optional.empty(), words));
    }

    private static Optional<UUID> id(@Nullable String said) {
        try {
            return said == null || said.isBlank() ? Optional.empty() : Optional.of(UUID.fromString(said.strip()));
        } catch (IllegalArgumentException no) {
            return Optional.empty();
        }
    }

    /** The skin was looked at again. */
    @PostMapping(PLACE + "/{reaction}/again")
    String again(@PathVariable UUID reaction, @Nullable String strength, Reply reply) {
        Reactions.Kept kept = reactions.find(reaction);
        String page = PLACE + "?who=" + kept.used().person();
        return reply.tap(page, () -> {
            Strength now = List.of(Strength.values()).stream()
                    .filter(one -> one.name().equals(strength))
                    .findFirst()
                    .orElseThrow(() -> new Refused("Say how the skin is now."));
            reactions.lookedAgain(reaction, now);
            return new Done(page, "Looked at again: %s.".formatted(now.word()));
        });
    }

    @PostMapping(PLACE + "/{reaction}/drop")
    String drop(@PathVariable UUID reaction, @Nullable String back, Reply reply) {
        return reply.tap(PLACE, () -> {
            reactions.drop(reaction, back == null);
            return back == null
                    ? new Done(PLACE, "That is taken back.", PLACE + "/" + reaction + "/drop?back=yes")
                    : new Done(PLACE + "?who=" + reactions.find(reaction).used().person(), "That stands again.");
        });
    }

    /** Puts every lot of what is suspected on hold, and so all that was made of it. */
    @PostMapping(PLACE + "/hold")
    String hold(@Nullable UUID who, @Nullable String what, @Nullable String key, Reply reply) {
        Person person = persons.find(Optional.ofNullable(who).orElseThrow(() -> new NotHere("that person")));
        String page = PLACE + "?who=" + person.id();
        return reply.tap(page, () -> {
            List<String> held = holding.hold(person, what == null ? "" : what, key == null ? "" : key);
            return new Done(
                    page,
                    held.isEmpty()
                            ? "All of it is on hold already."
                            : "On hold, with all that was made of it: %s. Each is released on its own page."
                                    .formatted(String.join(", ", held)));
        });
    }

    /** What she reacts to is known of her from now on, or not any more. */
    @PostMapping(PLACE + "/known")
    String known(@Nullable UUID who, @Nullable String key, @Nullable String not, Reply reply) {
        Person person = persons.find(Optional.ofNullable(who).orElseThrow(() -> new NotHere("that person")));
        String page = PLACE + "?who=" + person.id();
        return reply.tap(page, () -> {
            if (not != null) {
                persons.knowsNot(person.id(), key == null ? "" : key);
                return new Done(page, "That is not held against anything any more.");
            }
            String name = holding.knows(person, key == null ? "" : key);
            return new Done(
                    page,
                    "Kept: %s reacts to %s. What is given to her is held against it."
                            .formatted(person.nickname(), name));
        });
    }
}
