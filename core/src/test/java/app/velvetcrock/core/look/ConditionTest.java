package app.velvetcrock.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.measure.Volume;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    /** What travels, asks upwards, is seen, ends it; what it asks and how it is answered; the cause it is thrown out for. */
    @ParameterizedTest
    @CsvSource(
            textBlock =
                    """
            MOULD, yes, yes, yes, yes, yes, yes, throw it out, It was not so, It is dealt with, MOULD
            FERMENT, yes, yes, yes, yes, yes, yes, throw it out, It was not so, It is dealt with, FERMENTED
            OFF, yes, yes, yes, yes, yes, yes, throw it out, It was not so, It is dealt with, RANCID
            WATER, no, no, no, yes, yes, no, look, It is dealt with or was not so, It is dealt with, WATER
            OVERHEATED, no, yes, no, yes, no, no, look, It is dealt with or was not so, It is dealt with, SCORCHED
            SCORCHED, no, no, no, yes, yes, no, look, It is dealt with or was not so, It is dealt with, SCORCHED
            ON_HOLD, yes, yes, no, yes, yes, no, look, It is dealt with or was not so, It is dealt with, DOUBT
            IN_DOUBT, yes, yes, no, no, no, no, look, It is well or was not so, Made before that turned and it smells well today, DOUBT
            """)
    void eachConditionIsSeenToInItsWay(
            Condition condition,
            String travels,
            String travelsFood,
            String upwards,
            String toldOf,
            String seen,
            String end,
            String asks,
            String answers,
            String dealtWith,
            Ruin ruin) {
        assertThat(List.of(
                        yes(condition.travels(false)),
                        yes(condition.travels(true)),
                        yes(condition.asksUpwards()),
                        yes(condition.asksWhoHasIt()),
                        yes(condition.isSeen()),
                        yes(condition.isEnd())))
                .containsExactly(travels, travelsFood, upwards, toldOf, seen, end);
        assertThat(condition.asks()).startsWith(asks);
        assertThat(condition.answers().replace(",", "")).isEqualTo(answers);
        assertThat(condition.dealtWith().replace(",", "")).isEqualTo(dealtWith);
        assertThat(condition.ruin()).isEqualTo(ruin);
        assertThat(condition.advice()).isNotBlank();
        assertThat(Condition.seen().contains(condition)).isEqualTo(condition.isSeen());
    }

    private static String yes(boolean is) {
        return is ? "yes" : "no";
    }

    @Test
    void aLookSaysTheGravestFirstAndWhetherAllIsToBeThrownOut() {
        assertThat(new Look(Smell.SOUR, true, true).signs())
                .containsExactly(Sign.MOULD, Sign.FERMENTED, Sign.STANDS_OUT);
        assertThat(new Look(Smell.RIGHT, true, false).signs()).containsExactly(Sign.STANDS_OUT);
        assertThat(new Look(Smell.RIGHT, false, true).isEnd()).isTrue();
        assertThat(new Look(Smell.FRIED, true, false).isEnd()).isFalse();
        assertThat(Look.ALL_WELL.words()).isEqualTo("smells right, herb under the oil, no mould");
        assertThat(new Look(Smell.FAINT, true, true).words())
                .isEqualTo("hardly smells, herb stands out of the oil, mould");
    }

    /** What was seen at the straining: smell, water, cloud. */
    @Test
    void whatWasSeenOfAStrainedOilIsASign() {
        assertThat(new Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, "").signs())
                .isEmpty();
        Seen bad = new Seen(Clarity.CLOUDY, Smell.RANCID, Volume.ofMillilitres(0.1), "green");
        assertThat(bad.signs()).hasSize(3).startsWith(Sign.RANCID, Sign.WATER);
        assertThat(bad.conditions()).contains(Condition.OFF, Condition.WATER);
        assertThat(new Seen(Clarity.CLEAR, Smell.NOT_SMELLED, Volume.ZERO, "").conditions())
                .isEmpty();
    }

    /** Thrown out as bad it is asked of what was made of it, one by one; past its date, or only in doubt, where it was food. */
    @Test
    void whatIsThrownOutAsksOfWhatWasMadeOfIt() {
        assertThat(Arrays.stream(Ruin.values()).filter(ruin -> ruin.asksOfWhatWasMade(false)))
                .containsExactly(Ruin.MOULD, Ruin.FERMENTED, Ruin.RANCID);
        assertThat(Arrays.stream(Ruin.values()).filter(ruin -> ruin.asksOfWhatWasMade(true)))
                .containsExactly(Ruin.MOULD, Ruin.FERMENTED, Ruin.RANCID, Ruin.PAST_DATE, Ruin.DOUBT);
    }
}
