package app.velvetcrock.core.melt;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.Addition;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is to be melted, read and clear.
 *
 * @param tin the containers it is poured into; absent where it is told by weight alone
 * @param count of them, where that is said
 */
public record Mix(
        Kind kind,
        Use use,
        Temperature room,
        PanThing oil,
        Optional<PanThing> wax,
        List<PanThing> others,
        Melt melt,
        double firmness,
        List<Stirred> stirred,
        Optional<PanShelves.Tin> tin,
        Optional<Integer> count) {

    public Mix {
        others = List.copyOf(others);
        stirred = List.copyOf(stirred);
    }

    /** An addition, what it is of, and its drops where it is an essential oil. */
    public record Stirred(PanThing thing, Addition addition, Optional<Drops> drops) {}

    /** All of it: the melt and what is stirred in. */
    public Mass whole() {
        return stirred.stream()
                .map(one -> one.addition().mass())
                .reduce(melt.formula().total(), Mass::plus);
    }

    /** What its parts are, by their keys. */
    public Map<String, PanThing> things() {
        Map<String, PanThing> byKey = new LinkedHashMap<>();
        byKey.put(oil.key(), oil);
        others.forEach(one -> byKey.putIfAbsent(one.key(), one));
        wax.ifPresent(one -> byKey.putIfAbsent(one.key(), one));
        return byKey;
    }

    /** Its oils and butters. */
    Stream<PanThing> fats() {
        return Stream.concat(Stream.of(oil), others.stream());
    }
}
