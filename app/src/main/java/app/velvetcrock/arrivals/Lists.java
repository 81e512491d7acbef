package app.velvetcrock.arrivals;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.intake.IntakeReader;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.stereotype.Component;

/** Reads a list of what came in, in the household's words. */
@Component
public class Lists {

    private final RecipeBox box;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Households households;
    private final Clock clock;

    Lists(RecipeBox box, Catalogue catalogue, Materia materia, Households households, Clock clock) {
        this.box = box;
        this.catalogue = catalogue;
        this.materia = materia;
        this.households = households;
        this.clock = clock;
    }

    public List<Arriving> read(String text) {
        House house = households.current();
        return new IntakeReader(
                        house.reader(),
                        box.things(),
                        materia,
                        catalogue.carriers(),
                        LocalDateTime.ofInstant(
                                clock.instant(), house.settings().zone()))
                .read(text);
    }

    /** What one thing was understood as, in words. */
    public String words(Arriving one) {
        return ListRow.of(one, households.current()).what();
    }
}
