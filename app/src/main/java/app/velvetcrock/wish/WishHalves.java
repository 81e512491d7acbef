package app.velvetcrock.wish;

import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.wish.UsualKitchen;
import app.velvetcrock.core.wish.Wish;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** The two halves of a wish's answer as the addresses of their places, with everything filled in and the wish carried along. */
final class WishHalves {

    private WishHalves() {}

    /** The Bench's address; absent where its herb or oil is not here. */
    static Optional<String> bench(WishAnswer answer, WishForm form, House house) {
        Planned plan = answer.bench();
        UUID herb = plan.first().frozen().takes().get(0).lot();
        UUID oil = plan.first().frozen().takes().get(1).lot();
        if (UsualKitchen.isToCome(herb) || UsualKitchen.isToCome(oil)) {
            return Optional.empty();
        }
        BenchForm whole = BenchForm.of(
                        herb.toString(), house.mass(plan.herbInAll()), oil.toString(), house.volume(plan.oilInAll()))
                .by(answer.way().key())
                .kept(
                        answer.wish().use(),
                        answer.plan().request().circumstances().pressing(),
                        answer.plan().request().circumstances().storage())
                .neededBy(WishForm.text(form.needed()))
                .wished(form);
        return Optional.of((plan.isSplit() ? whole.divided() : whole).address());
    }

    /** What is not in the Stores yet, as lines to be put there first, since the Bench plans from what is here; nothing where all is. */
    static Optional<String> toBring(WishAnswer answer, House house) {
        Planned plan = answer.bench();
        List<String> lines = new ArrayList<>();
        if (UsualKitchen.isToCome(plan.first().frozen().takes().get(0).lot())) {
            Wish.Herb herb = answer.wish().herb();
            lines.add("%s %s %s %s"
                    .formatted(
                            house.mass(herb.mass().orElse(plan.herbInAll())),
                            herb.moisture().word(),
                            herb.texture().cut().word(),
                            herb.kind().common()));
        }
        if (UsualKitchen.isToCome(plan.first().frozen().takes().get(1).lot())) {
            lines.add("%s %s oil"
                    .formatted(
                            house.volume(plan.oilInAll()), answer.wish().oil().common()));
        }
        return lines.isEmpty() ? Optional.empty() : Optional.of(String.join("\n", lines));
    }

    /** The Pan's address, with the oil that is to come; absent where nothing is made of it, or it cannot be begun. */
    static Optional<String> pan(WishAnswer answer, WishForm form, House house) {
        return answer.pan().filter(mix -> answer.canBegin()).map(mix -> {
            Kind kind = mix.read().kind();
            List<PanForm.Row> rows = kind.others().entrySet().stream()
                    .map(one -> new PanForm.Row(PanForm.KIND + one.getKey(), Math.round(one.getValue() * 100) + " %"))
                    .toList();
            return PanForm.wished(
                            much(answer.wish(), house),
                            answer.wish().much() instanceof Wish.Much.Filled filled ? into(mix, filled) : "",
                            mix,
                            rows,
                            form)
                    .address();
        });
    }

    private static String much(Wish wish, House house) {
        if (wish.much() instanceof Wish.Much.Weight weight) {
            return house.mass(weight.mass());
        }
        return wish.much() instanceof Wish.Much.Filled filled ? String.valueOf(filled.count()) : "";
    }

    private static String into(MixPlan mix, Wish.Much.Filled filled) {
        return mix.tins().stream()
                .filter(tin -> tin.container().equals(filled.container()))
                .map(tin -> tin.name())
                .findFirst()
                .orElse("");
    }
}
