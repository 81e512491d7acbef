package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads what a making was poured into. */
final class PourReading {

    private final Makings.Sheet sheet;
    private final List<PanShelves.Tin> tins;
    private final Fields fields;

    PourReading(Makings.Sheet sheet, List<PanShelves.Tin> tins, Fields fields) {
        this.sheet = sheet;
        this.tins = tins;
        this.fields = fields;
    }

    /** One kind of container, and another where one is named. */
    List<PanDeed.Fill> read(MakingForm form) {
        List<PanDeed.Fill> fills = new ArrayList<>();
        fill(form, "into", form.into(), "count", form.count()).ifPresent(fills::add);
        if (!PanForm.text(form.andInto()).isEmpty()) {
            fill(form, "andInto", form.andInto(), "andCount", form.andCount()).ifPresent(fills::add);
        }
        return fills;
    }

    /** What was filled; each holds what was weighed, or what such a one takes. */
    private Optional<PanDeed.Fill> fill(
            MakingForm form, String intoField, @Nullable String into, String countField, @Nullable String count) {
        Optional<PanShelves.Tin> tin = tins.stream()
                .filter(one -> one.name().equals(PanForm.text(into)))
                .findFirst();
        Optional<MakingPlan.Into> planned = sheet.plan().into().filter(one -> one.lot()
                .filter(lot -> lot.toString().equals(PanForm.text(into)))
                .isPresent());
        Optional<Container> container =
                tin.map(PanShelves.Tin::container).or(() -> planned.map(MakingPlan.Into::container));
        if (container.isEmpty()) {
            fields.trouble(
                    intoField,
                    "It is not said what it was poured into.",
                    "one from the list; put yours into the Stores first");
        }
        Optional<Integer> many = fields.whole(countField, count, 1, 1000, "pieces");
        if (container.isEmpty() || many.isEmpty()) {
            return Optional.empty();
        }
        if (tin.isEmpty() || (!container.get().mould() && many.get() > tin.get().left())) {
            fields.trouble(
                    countField,
                    "Only %d × %s are in the stores."
                            .formatted(
                                    tin.map(PanShelves.Tin::left).orElse(0),
                                    container.get().name()),
                    "fewer, or others");
        }
        boolean whipped = sheet.plan().made().whipped();
        double shrinkage = Filling.shrinkage(sheet.course().formula());
        Optional<Mass> each =
                intoField.equals("into") && !PanForm.text(form.each()).isEmpty()
                        ? fields.mass("each", form.each(), 0.5, 5_000)
                        : Optional.of(Filling.wanted(1, container.get(), shrinkage, whipped));
        return each.map(mass -> new PanDeed.Fill(
                new MakingPlan.Into(container.get(), many.get(), Optional.of(UUID.fromString(PanForm.text(into)))),
                mass));
    }
}
