package app.velvetcrock.bench;

import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.stillroom.House;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Numbers of a way: its first and second stage, and how often it is tended. */
public record BenchNumbers(
        @Nullable String band,
        @Nullable String ceiling,
        @Nullable String thenBand,
        @Nullable String thenCeiling,
        @Nullable String shake,
        @Nullable String look,
        @Nullable String read) {

    static final BenchNumbers NONE = new BenchNumbers("", "", "", "", "", "", "");

    /** The numbers in which a way differs from the one it was made of, as they are typed. */
    public static BenchNumbers differing(Method way, Method shipped, House house) {
        Stage first = way.stages().get(0);
        Stage asFirst = shipped.stages().get(0);
        boolean two = way.stages().size() > 1;
        Stage second = two ? way.stages().get(1) : first;
        Stage asSecond = two ? shipped.stages().get(1) : first;
        return new BenchNumbers(
                band(first, asFirst, house),
                ceiling(first, asFirst, house),
                band(second, asSecond, house),
                ceiling(second, asSecond, house),
                rhythm(way, shipped, Tending.Kind.SHAKE),
                rhythm(way, shipped, Tending.Kind.LOOK),
                rhythm(way, shipped, Tending.Kind.READ));
    }

    private static String band(Stage own, Stage shipped, House house) {
        return own.band().equals(shipped.band())
                ? ""
                : house.temperatures(own.band().low(), own.band().high());
    }

    private static String ceiling(Stage own, Stage shipped, House house) {
        return own.ceiling()
                .filter(ceiling -> !own.ceiling().equals(shipped.ceiling()))
                .map(house::temperature)
                .orElse("");
    }

    private static String rhythm(Method way, Method shipped, Tending.Kind kind) {
        for (int i = 0; i < way.stages().size(); i++) {
            Stage as = shipped.stages().get(i);
            Optional<Tending> own = way.stages().get(i).tending(kind).filter(tending -> !as.tendings()
                    .contains(tending));
            if (own.isPresent()) {
                return NumbersSentence.words(own.get());
            }
        }
        return "";
    }

    public boolean isTyped() {
        return !(BenchForm.isBlank(band)
                && BenchForm.isBlank(ceiling)
                && BenchForm.isBlank(thenBand)
                && BenchForm.isBlank(thenCeiling)
                && BenchForm.isBlank(shake)
                && BenchForm.isBlank(look)
                && BenchForm.isBlank(read));
    }
}
