package app.velvetcrock.devices;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.readings.Weighings;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What lies on the scale now, for a field that asks for a weight. */
@RestController
class ScaleController {

    private final Weighings weighings;

    ScaleController(Weighings weighings) {
        this.weighings = weighings;
    }

    /** What is written into the field and what is read on the button; nothing where no scale spoke within the last minute. */
    @GetMapping("/scale")
    ResponseEntity<Map<String, String>> scale() {
        return weighings
                .now()
                .map(on -> {
                    String grams = Decimals.upTo(on.mass().grams(), 1) + " g";
                    return ResponseEntity.ok(Map.of(
                            "typed",
                            grams,
                            "words",
                            "on the scale: " + grams + (on.steady() ? "" : ", not at rest yet")));
                })
                .orElseGet(() -> ResponseEntity.noContent().build());
    }
}
