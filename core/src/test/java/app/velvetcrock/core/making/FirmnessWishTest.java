package app.velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How firm it should set, as people say it, of a melt that sets at 14. */
class FirmnessWishTest {

    @ParameterizedTest
    @CsvSource({
        "18, 18",
        "firmness 18, 18",
        "17.5, 17.5",
        "'17,5', 17.5",
        "0, 0",
        "50, 50",
        "about 20, 20",
        "salve, 15",
        "a salve, 15",
        "Firm tin, 19",
        "firm tin salve, 19",
        "firm, 19",
        "soft ointment, 8",
        "soft balm, 11.5",
        "lip balm, 24.5",
        "like a lip balm, 24.5",
        "stick, 24.5",
        "bar, 32.5",
        "hard bar, 43.5",
        "thick oil, 3",
        "a little firmer, 16",
        "firmer, 16",
        "a bit harder, 16",
        "slightly softer, 12",
        "much softer, 10",
        "a lot firmer, 18"
    })
    void isRead(String typed, double firmness) {
        assertThat(FirmnessWish.read(typed, 14)).hasValue(firmness);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "F 18", "18 F", "51", "-3", "wobbly", "firmer than last time", "a little", "1e3", "18 19"})
    void isNotGuessed(String typed) {
        assertThat(FirmnessWish.read(typed, 14)).isEmpty();
    }

    /** Nothing is softer than oil, nor harder than what is made. */
    @ParameterizedTest
    @CsvSource({"softer, 1, 0", "a little firmer, 48, 50"})
    void endsWhereTheScaleDoes(String typed, double now, double firmness) {
        assertThat(FirmnessWish.read(typed, now)).hasValue(firmness);
        assertThat(FirmnessWish.read("firmer", 49)).isEmpty();
    }
}
