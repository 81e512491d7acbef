package app.velvetcrock.book;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.book.Relatives;
import app.velvetcrock.core.book.Suspects.Hypothesis;
import app.velvetcrock.core.book.Suspects.Suspect;
import app.velvetcrock.core.book.Suspects.What;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.parting.Person;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stock.kinship.Contents;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Holds back what somebody may react to, and keeps what she does react to. */
@Service
class HoldingBack {

    private final ReactionPages pages;
    private final Conditions conditions;
    private final Persons persons;
    private final Clock clock;

    HoldingBack(ReactionPages pages, Conditions conditions, Persons persons, Clock clock) {
        this.pages = pages;
        this.conditions = conditions;
        this.persons = persons;
        this.clock = clock;
    }

    /** Puts every lot of a suspect on hold, and so all that was made of it; tells which were not yet. */
    @Transactional
    public List<String> hold(Person person, String what, String key) {
        ReactionPages.Case found = pages.of(person.id());
        Set<UUID> before = held();
        List<String> held = new ArrayList<>();
        for (Contents.In lot : pages.lots(suspect(found, what, key), found)) {
            if (!before.contains(lot.lot())) {
                conditions.found(
                        List.of(Condition.ON_HOLD),
                        new Subject(lot.batch().orElse(null), lot.lot(), lot.name()),
                        new Finding(clock.instant(), null, "%s may react to it".formatted(person.nickname())));
                held.add(lot.name());
            }
        }
        return held;
    }

    /** What is on hold already, whatever for. */
    private Set<UUID> held() {
        return conditions.open().stream()
                .filter(told -> told.kind() == Condition.ON_HOLD)
                .flatMap(told -> Optional.ofNullable(told.subject().lot()).stream())
                .collect(Collectors.toSet());
    }

    /** What she reacts to is known of her from now on. */
    @Transactional
    public String knows(Person person, String key) {
        Hypothesis suspect = suspect(pages.of(person.id()), What.KIND.name(), key);
        persons.knows(
                person.id(),
                new Recipient.Reacts(
                        suspect.key(), suspect.name(), Relatives.family(suspect.key(), pages.traits(suspect.key()))));
        return suspect.name();
    }

    private static Hypothesis suspect(ReactionPages.Case found, String what, String key) {
        return found.suspects().stream()
                .map(Suspect::hypothesis)
                .filter(one -> one.what() != What.NONE_OF_THESE
                        && one.what().name().equals(what)
                        && one.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new Refused("That is suspected of nothing here any more."));
    }
}
