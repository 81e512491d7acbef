package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.JarSplit;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What somebody wants made, of what, in what.
 *
 * @param herbs one, or several of a blend
 * @param carriers one oil, or a mix
 * @param jarsInStock every free vessel that suits the way, a size as often as there is one: for choosing, splitting and remedies
 */
public record PlanRequest(
        List<PlannedHerb> herbs,
        Carriers carriers,
        OilWish oil,
        Vessel vessel,
        List<Vessel> jarsInStock,
        Circumstances circumstances) {

    /** In one oil. */
    public PlanRequest(
            List<PlannedHerb> herbs,
            PlannedCarrier carrier,
            OilWish oil,
            Vessel vessel,
            List<Vessel> jarsInStock,
            Circumstances circumstances) {
        this(herbs, Carriers.of(carrier), oil, vessel, jarsInStock, circumstances);
    }

    public PlanRequest {
        herbs = List.copyOf(herbs);
        jarsInStock = List.copyOf(jarsInStock);
        if (herbs.isEmpty()) {
            throw new IllegalArgumentException("a plan has no herb; it needs at least one");
        }
    }

    /** What it is infused in, a mix as the one oil it makes. */
    public PlannedCarrier carrier() {
        return carriers.together(circumstances.start());
    }

    /** The herb there is most of, which gives the charge its look. */
    public PlannedHerb herb() {
        return herbs.stream().max(Comparator.comparing(PlannedHerb::mass)).orElseThrow();
    }

    /** Keys of the kinds of herb in it. */
    public List<String> herbKeys() {
        return herbs.stream().map(herb -> herb.kind().key()).toList();
    }

    /** Keys of all that is in it, herbs and oils. */
    public List<String> kindKeys() {
        return Stream.concat(herbKeys().stream(), carriers.parts().stream().map(part -> part.carrier()
                        .kind()
                        .key()))
                .distinct()
                .toList();
    }

    /** Its herbs in the order they were named: "Yarrow", "Yarrow, nettle and self-heal". */
    public String herbNames() {
        List<String> names =
                herbs.stream().map(herb -> herb.kind().common()).distinct().toList();
        String all = names.get(0);
        for (int i = 1; i < names.size(); i++) {
            all += (i == names.size() - 1 ? " and " : ", ")
                    + names.get(i).substring(0, 1).toLowerCase(Locale.ROOT)
                    + names.get(i).substring(1);
        }
        return all;
    }

    /** The wettest of its herbs, which decides how the oil keeps; of an oil infused before, its first herb counts as well. */
    public Moisture wettest() {
        return Stream.concat(
                        herbs.stream().map(PlannedHerb::moisture),
                        carrier().first().stream().map(FirstInfusion::moisture))
                .max(Moisture::compareTo)
                .orElseThrow();
    }

    /** Tells whether it is food of anything moist, which has a rule of its own. */
    public boolean isMoistFood() {
        return circumstances.use() == Use.FOOD && !wettest().isDried();
    }

    /** The same as the rule of food wants it: the pan without its standing, and the refrigerator; all else as it is. */
    PlanRequest underTheRuleOfFood() {
        Method suiting = Variants.suiting(circumstances.method(), isMoistFood());
        List<Integer> lengths = suiting.stages().size()
                        == circumstances.lengths().size()
                ? circumstances.lengths()
                : suiting.stages().size() < circumstances.lengths().size()
                        ? circumstances.lengths().subList(0, suiting.stages().size())
                        : suiting.usualLengths();
        return with(new Circumstances(
                suiting,
                lengths,
                circumstances.start(),
                circumstances.use(),
                circumstances.pressing(),
                isMoistFood() ? Storage.REFRIGERATOR : circumstances.storage(),
                circumstances.means(),
                circumstances.dosing(),
                circumstances.knowingly()));
    }

    public Herbs charged() {
        return new Herbs(
                herbs.stream().map(herb -> herb.portion(circumstances.method())).toList());
    }

    /** What was measured of each of its herbs. */
    public List<List<Double>> ownRetentions() {
        return herbs.stream().map(PlannedHerb::ownRetentions).toList();
    }

    /** The same with other oil over it. */
    public PlanRequest pouring(OilWish other) {
        return new PlanRequest(herbs, carriers, other, vessel, jarsInStock, circumstances);
    }

    /** The same done otherwise. */
    public PlanRequest with(Circumstances other) {
        return new PlanRequest(herbs, carriers, oil, vessel, jarsInStock, other);
    }

    /** The same for a part of the herb and oil, in a jar of its own. */
    public PlanRequest part(JarSplit.Share share) {
        return new PlanRequest(
                herbs.stream().map(herb -> herb.times(share.share())).toList(),
                carriers,
                oil.times(share.share()),
                share.vessel(),
                jarsInStock,
                circumstances);
    }

    /**
     * How, when and for whom.
     *
     * @param lengths how long each of the method's stages is to last, in its pace and within its range
     * @param means pantry, spirit and kit to hand
     * @param dosing how much of the spirit, where the way takes one
     * @param knowingly why somebody goes on against the rules of water, in their own words
     */
    public record Circumstances(
            Method method,
            List<Integer> lengths,
            LocalDate start,
            Use use,
            Pressing pressing,
            Storage storage,
            Means means,
            Dosing dosing,
            Optional<String> knowingly) {

        private static final int NOON = 12;

        public Circumstances {
            lengths = List.copyOf(lengths);
            if (lengths.size() != method.stages().size()) {
                throw new IllegalArgumentException("%d lengths for %d stages of %s"
                        .formatted(lengths.size(), method.stages().size(), method.key()));
            }
        }

        /** As usual: the usual dose of spirit, and nothing overridden. */
        public Circumstances(
                Method method,
                List<Integer> lengths,
                LocalDate start,
                Use use,
                Pressing pressing,
                Storage storage,
                Means means) {
            this(method, lengths, start, use, pressing, storage, means, Dosing.AS_USUAL, Optional.empty());
        }

        /** The same by another way, for its usual times. */
        public Circumstances by(Method other) {
            return new Circumstances(
                    other, other.usualLengths(), start, use, pressing, storage, means, dosing, knowingly);
        }

        /** The same for other times. */
        public Circumstances lasting(List<Integer> others) {
            return new Circumstances(method, others, start, use, pressing, storage, means, dosing, knowingly);
        }

        /** The day its last stage ends, heat counted as if it were given at once. */
        public LocalDate end() {
            LocalDateTime at = start.atTime(NOON, 0);
            for (int i = 0; i < lengths.size(); i++) {
                at = at.plusMinutes(
                        (long) lengths.get(i) * method.stages().get(i).pace().minutes());
            }
            return at.toLocalDate();
        }
    }
}
