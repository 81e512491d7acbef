package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DropReaderTest {

    @ParameterizedTest
    @CsvSource({
        "37 drops, true, 37",
        "37 drops, false, 37",
        "37, true, 37",
        "37, false,",
        "ten drops, false, 10",
        "a drop, false, 1",
        "about 15 gtt, false, 15",
        "10-12 drops, false, 11",
        "10 to 12, true, 11",
        "10 drops each, false, 10",
        "2.5 drops, false, 3",
        "2.5, true,",
        "½ tsp, true,",
        "2 mL, true,",
        "0.5 %, true,",
        "a few drops, true,",
        "-5 drops, true,",
        "99999 drops, true,"
    })
    void dropsAsTheyAreSaid(String typed, boolean bare, Integer count) {
        assertThat(DropReader.read(typed, bare)).isEqualTo(Optional.ofNullable(count));
    }
}
