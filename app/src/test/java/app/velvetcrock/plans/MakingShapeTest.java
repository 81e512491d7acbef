package app.velvetcrock.plans;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingPlan;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Plans of makings are stored in the shape that is published, and read back as they were. */
class MakingShapeTest {

    private static final MakingPlan WHOLE = new MakingPlan(
                    MakingPlan.RULES,
                    new MakingPlan.Made("salve", "salve", "Salve of yarrow", false, true),
                    15,
                    List.of(new MakingPlan.Weighed(
                            new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1).of(Mass.ofGrams(45)),
                            Optional.of(UUID.randomUUID()))),
                    List.of(new MakingPlan.Stirred(
                            new Addition(
                                    "eo-lavender",
                                    "Lavender",
                                    Mass.ofGrams(0.45),
                                    Optional.of(10.0),
                                    Addition.When.WITH_THE_DROPS),
                            Optional.empty())),
                    Optional.of(new MakingPlan.Into(
                            new Container("tin", Volume.ofMillilitres(60), false), 6, Optional.of(UUID.randomUUID()))),
                    Use.HANDS,
                    Temperature.ofCelsius(19),
                    LocalDate.of(2027, 6, 1),
                    "limited by the oil",
                    Optional.of("it has something watery in it"),
                    List.of("Contains beeswax"))
            .with(
                    List.of(
                            new MadeKeeping.Limit(
                                    LocalDate.of(2027, 6, 1), "limited by the drops", Optional.of(0), true),
                            new MadeKeeping.Limit(
                                    LocalDate.of(2027, 8, 1), "limited by the oil", Optional.empty(), false)),
                    List.of(new Addition(
                            "vitamin-e", "Vitamin E", Mass.ofGrams(0.5), Optional.empty(), Addition.When.BELOW_70)));

    @Test
    void itIsStoredAsPublishedAndReadBack() throws IOException {
        MakingPlan bare = new MakingPlan(
                MakingPlan.RULES,
                WHOLE.made(),
                8,
                List.of(),
                List.of(),
                Optional.empty(),
                Use.FACE,
                WHOLE.room(),
                WHOLE.keepsUntil(),
                "",
                Optional.empty(),
                List.of());
        MakingShape shape = new MakingShape(new Json());
        for (MakingPlan plan : List.of(WHOLE, bare)) {
            String written = shape.write(plan);
            assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                            .getSchema(
                                    Files.readString(Path.of("..", "docs", "formats", "making.schema.json")),
                                    InputFormat.JSON)
                            .validate(written, InputFormat.JSON))
                    .isEmpty();
            assertThat(shape.read(written)).isEqualTo(plan);
        }
    }
}
