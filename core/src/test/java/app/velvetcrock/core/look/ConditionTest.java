package app.velvetcrock.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class ConditionTest {

    /** Whatever is to be discarded stays open, and holds everything. */
    @Test
    void whatIsToBeThrownOutHoldsEverything() {
        for (Sign sign : Sign.values()) {
            assertThat(sign.isEnd())
                    .as(sign.word())
                    .isEqualTo(sign.condition().filter(Condition::isEnd).isPresent());
        }
        for (Condition condition : List.of(Condition.MOULD, Condition.FERMENT, Condition.OFF)) {
            assertThat(Held.values()).as(condition.word()).allMatch(condition::holds);
        }
    }

    /** Nothing wrong is given or sold, but for heat that only asks for a look; water is decanted before it is bottled. */
    @Test
    void aDoubtHoldsBackWhatGoesToOthers() {
        assertThat(Arrays.stream(Condition.values()).filter(condition -> condition.holds(Held.GIVE)))
                .doesNotContain(Condition.OVERHEATED)
                .hasSize(Condition.values().length - 1);
        assertThat(Arrays.stream(Condition.values()))
                .allMatch(condition -> condition.holds(Held.GIVE) == condition.holds(Held.SELL));
        assertThat(Condition.WATER.holds(Held.BOTTLE)).isTrue();
        assertThat(Condition.WATER.holds(Held.DRAW)).isFalse();
        assertThat(Condition.ON_HOLD.holds(Held.USE))
                .as("held back, it goes into no other batch either")
                .isTrue();
    }

    @Test
    void aLookOpensWhatItFoundAndAllWellOpensNothing() {
        assertThat(Look.ALL_WELL.conditions()).isEmpty();
        assertThat(new Look(Smell.SOUR, true, true).conditions()).containsExactly(Condition.MOULD, Condition.FERMENT);
        assertThat(new Look(Smell.FAINT, true, false).conditions()).isEmpty();
        assertThat(new Look(Smell.FRIED, false, false).conditions()).containsExactly(Condition.SCORCHED);
    }
}
