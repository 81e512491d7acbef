package app.velvetcrock.core.deed;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GlimpseTest {

    private static final TaskKey LOOK = TaskKey.parse("cold.look.2");

    /** What each may come to opens these, and nothing for what only wants a hand. */
    @ParameterizedTest
    @CsvSource(
            textBlock =
                    """
            STANDS_OUT, ''
            FLUFF, MOULD ON_HOLD
            WATER, WATER
            BUBBLES, FERMENT ON_HOLD
            SMELL, FERMENT OFF SCORCHED
            LID, ''
            """)
    void whatIsSeenComesTo(Glimpse seen, String conditions) {
        assertThat(opened(seen).map(Enum::name).sorted().collect(Collectors.joining(" ")))
                .isEqualTo(Stream.of(conditions.split(" ")).sorted().collect(Collectors.joining(" ")));
    }

    private static Stream<Condition> opened(Glimpse seen) {
        return seen.comes(Optional.of(LOOK), false).stream()
                .flatMap(one -> one.deed() instanceof Deed.Find found
                        ? Stream.of(found.what())
                        : one.deed() instanceof Deed.LookAt look ? look.look().conditions().stream() : Stream.empty());
    }

    /** A look answers the one that was asked for; a finding leaves it, and what is grave or watery is not shaken any more. */
    @Test
    void onlyALookAnswersTheTask() {
        for (Glimpse seen : Glimpse.values()) {
            assertThat(seen.comes(Optional.of(LOOK), false))
                    .isNotEmpty()
                    .allMatch(one -> one.isLook()
                            == (one.deed() instanceof Deed.LookAt look
                                    && look.task().equals(Optional.of(LOOK))));
            assertThat(seen.comes(Optional.empty(), false))
                    .noneMatch(one -> one.deed() instanceof Deed.LookAt look
                            && look.task().isPresent());
        }
        assertThat(Glimpse.SMELL.comes(Optional.empty(), true))
                .as("who smells it says nothing of the herb that stood out")
                .allMatch(one ->
                        one.deed() instanceof Deed.LookAt look && look.look().standsOut());
        Set<Condition> shut = List.of(Condition.values()).stream()
                .filter(one -> one.holds(Held.SHAKE))
                .collect(Collectors.toSet());
        assertThat(shut).containsExactlyInAnyOrder(Condition.MOULD, Condition.FERMENT, Condition.OFF, Condition.WATER);
    }
}
