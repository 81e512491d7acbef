package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A straining as one line says it, by the same rules as its form; what the form would have to ask besides is asked there. */
@Component
public class StrainLine {

    private static final int PRECISE = 3;

    private final Households households;
    private final Clock clock;

    StrainLine(Households households, Clock clock) {
        this.households = households;
        this.clock = clock;
    }

    /**
     * What was said of it.
     *
     * @param how absent for how it was planned
     */
    public record Said(Quantity out, Optional<Pressing> how, Optional<Smell> smell, Instant at) {}

    public Deed.Strain read(BatchSheet sheet, Said said) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Pressing how = said.how()
                .orElseGet(() -> sheet.plan().request().circumstances().pressing());
        String at = said.at().plusSeconds(1).isBefore(clock.instant())
                ? house.wording().asField(said.at())
                : "";
        PressForm form = new PressForm(
                UUID.randomUUID(),
                typed(said.out()),
                "",
                how.name(),
                at,
                "NOT_SEEN",
                said.smell().orElse(Smell.NOT_SMELLED).name(),
                "",
                "",
                "",
                "",
                "");
        return form.read(fields, sheet, house, clock.instant())
                .orElseThrow(() -> Refused.of(fields, "at the Press"))
                .deed();
    }

    private static String typed(Quantity out) {
        return out instanceof Mass mass
                ? "%s g".formatted(Decimals.upTo(mass.grams(), PRECISE))
                : "%s mL".formatted(Decimals.upTo(((Volume) out).millilitres(), PRECISE));
    }
}
