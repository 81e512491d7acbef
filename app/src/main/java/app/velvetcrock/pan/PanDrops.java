package app.velvetcrock.pan;

import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.Mix;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.pan.Dose;
import app.velvetcrock.pan.PanPage.Drop;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What is stirred in against what it may be: essential oils and their ceilings, antioxidants and their dose. */
final class PanDrops {

    private static final double PERCENT = 100;

    private PanDrops() {}

    static List<Drop> of(MixPlan planned) {
        return Stream.concat(
                        planned.ceilings().lines().stream().map(PanDrops::drop),
                        planned.read().stirred().stream()
                                .flatMap(one -> Dose.of(one.addition(), planned.whole()).stream())
                                .map(PanDrops::dose))
                .toList();
    }

    private static Drop drop(Ceilings.Line line) {
        return new Drop(
                "%s drops of %s"
                        .formatted(
                                Decimals.upTo(line.drops().count(), 0),
                                line.drops().oil().common()),
                percent(line.percent()),
                "at most %s: %s".formatted(percent(line.most()), line.why()),
                line.isOver() ? "over" : "");
    }

    private static Drop dose(Dose dose) {
        return new Drop(
                dose.name(),
                percent(dose.percent()),
                "right from %s to %s; no preservative against germs"
                        .formatted(percent(dose.least()), percent(dose.most())),
                dose.isRight() ? "" : "over");
    }

    private static String percent(double percent) {
        return Decimals.upTo(Math.round(percent * PERCENT) / PERCENT, 2) + " %";
    }

    static String sum(Ceilings ceilings, Mix read) {
        if (ceilings.lines().isEmpty()) {
            return "";
        }
        String photo = ceilings.photo()
                .map(sums -> " In the sun it is %s of what skin bears."
                        .formatted(Decimals.upTo(Math.round(sums * PERCENT) / PERCENT, 2)))
                .orElse("");
        return "Together %s of at most %s for %s.%s"
                .formatted(
                        percent(ceilings.sum()),
                        percent(ceilings.ceiling()),
                        read.use().word(),
                        photo);
    }

    /** The sum by user: for whom it would be within as it is. */
    static List<Drop> users(MixPlan planned) {
        List<Drops> drops =
                planned.ceilings().lines().stream().map(Ceilings.Line::drops).toList();
        if (drops.isEmpty()) {
            return List.of();
        }
        Mass rest = Mass.ofGrams(planned.whole().grams()
                - drops.stream().mapToDouble(one -> one.mass().grams()).sum());
        return Ceilings.byUser(drops, rest, planned.read().kind().noEssentialOil()).stream()
                .map(user -> new Drop(
                        user.use().word(),
                        percent(user.ceiling()),
                        user.within() ? "within" : "over",
                        user.within() ? "" : "over"))
                .toList();
    }

    /** The same sentence with the most drops that would be within. */
    static String within(MixPlan planned, PanForm form) {
        List<PanForm.Row> rows = new ArrayList<>();
        List<Drops> within = planned.ceilings().within();
        int next = 0;
        for (Mix.Stirred one : planned.read().stirred()) {
            if (one.drops().isEmpty()) {
                rows.add(PanForm.said(form.add()).get(rows.size()));
            } else {
                Drops drops = within.get(next++);
                rows.add(new PanForm.Row(
                        drops.count() == 0 ? "" : one.thing().name(),
                        drops.count() == 0 ? "" : "%s drops".formatted(Decimals.upTo(drops.count(), 0))));
            }
        }
        return new PanForm(
                        null,
                        form.much(),
                        form.into(),
                        form.kind(),
                        form.was(),
                        form.oil(),
                        form.wax(),
                        form.share(),
                        form.firm(),
                        form.name(),
                        form.use(),
                        form.room(),
                        form.bought(),
                        form.with(),
                        rows,
                        form.wish())
                .address();
    }
}
