package app.velvetcrock.jot;

import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.parting.Person;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps what a line says of somebody's skin; what else she used is asked on her page. */
@Component
class JotSkin {

    private final Reactions reactions;
    private final Persons persons;
    private final Households households;
    private final Clock clock;

    JotSkin(Reactions reactions, Persons persons, Households households, Clock clock) {
        this.reactions = reactions;
        this.persons = persons;
        this.households = households;
        this.clock = clock;
    }

    String keeps(Jotted.Said said, AtTheCupboard.Reacted reacted, Parting.Once once) {
        if (!said.note().isEmpty()) {
            throw new Refused("Beside a reaction no note is kept: “%s” would be lost. Nothing was written."
                    .formatted(said.note()));
        }
        LocalDate on = households.current().dayOf(once.at());
        LocalDate today = households.current().dayOf(clock.instant());
        Person person = persons.named(reacted.who());
        UUID kept = reactions.note(
                new Reactions.Used(
                        person.id(),
                        Optional.of(said.thing().id()),
                        said.thing().name(),
                        reacted.strength(),
                        reacted.spreading(),
                        reacted.place(),
                        "",
                        false,
                        on),
                Reactions.again(reacted.strength(), on, today));
        return JotBack.Kind.SKIN.of(person.id(), kept);
    }
}
