package app.velvetcrock.cupboard;

import app.velvetcrock.core.deed.May;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.parting.Person;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** To whom something left, and for how much, as the Cupboard's forms ask it; both may be left out. */
@Component
public class ToWhom {

    private static final int LONGEST = 60;

    private final Persons persons;
    private final ForHer forHer;
    private final Clock clock;

    ToWhom(Persons persons, ForHer forHer, Clock clock) {
        this.persons = persons;
        this.forHer = forHer;
        this.clock = clock;
    }

    /** What was read; {@code happened} whether it is told of afterwards. */
    public record Said(Optional<String> who, Optional<Long> price, boolean happened) {}

    Said read(Fields fields, House house, @Nullable String who, @Nullable String price, Instant at) {
        return new Said(
                fields.optionalWords("who", who, LONGEST).filter(said -> !said.isBlank()),
                price == null || price.isBlank() ? Optional.empty() : fields.money("price", price, house.money()),
                May.hasHappened(at, clock.instant()));
    }

    /** The same, where only a name was said; empty for nobody named. */
    public static Said said(String who, Instant at, Instant now) {
        return new Said(
                Optional.of(who.strip()).filter(name -> !name.isEmpty()), Optional.empty(), May.hasHappened(at, now));
    }

    /** How it left, by why it was taken out; absent where it stayed in the house. */
    static Optional<Leaving.Kind> kind(Taking why) {
        return switch (why) {
            case GIVEN -> Optional.of(Leaving.Kind.GIVEN);
            case SOLD -> Optional.of(Leaving.Kind.SOLD);
            case DRAWN -> Optional.empty();
        };
    }

    /** Whom it goes to is written down where she is not yet; what she must not have is refused. */
    public Parting.Terms terms(Said said, UUID lot) {
        Optional<Person> person = said.who().map(persons::named);
        person.ifPresent(one -> forHer.refuse(one.who(), one.nickname(), lot, said.happened()));
        return new Parting.Terms(person.map(Person::id), said.price(), false, Optional.empty());
    }
}
