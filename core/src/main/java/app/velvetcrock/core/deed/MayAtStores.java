package app.velvetcrock.core.deed;

import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Says whether a deed may be done at the stores as they stand; what a condition holds back is asked elsewhere. */
public final class MayAtStores implements StoreDeed.Visitor<Optional<Refusal>> {

    /** [E] A little more than went in is a reading error of the scale; far more is a slip. */
    private static final double MOST_SHARE_OUT = 1.02;

    private final List<Standing> lots;
    private final Wording say;

    private MayAtStores(List<Standing> lots, Wording say) {
        this.lots = lots;
        this.say = say;
    }

    /**
     * A lot as it stands.
     *
     * @param herb absent for what is no herb
     * @param ofBatch whether it is an oil that came of a batch
     * @param left in its own unit, milligrams or pieces
     * @param kind what it is, the same for two that can be put together
     * @param own what of it can be measured by the household itself
     */
    public record Standing(String name, Optional<Herb> herb, boolean ofBatch, long left, Object kind, Set<Own> own) {}

    /** What a household can find out of a bottle by itself. */
    public enum Own {
        DROPS,
        STRENGTH
    }

    /** What a herb is and how it is. */
    public record Herb(Part part, Cut cut, Moisture moisture) {}

    /**
     * Why a deed may not be done; empty where it may.
     *
     * @param lots those it is done to, in the order the deed names them
     */
    public static Optional<Refusal> be(StoreDeed deed, List<Standing> lots, May.Times times) {
        Optional<Refusal> early = May.past(times);
        if (early.isPresent()) {
            return early;
        }
        return lots.stream().anyMatch(Standing::ofBatch)
                ? refused("An oil from a batch is seen to in the Cupboard.")
                : deed.accept(new MayAtStores(lots, times.say()));
    }

    private Standing lot() {
        return lots.get(0);
    }

    @Override
    public Optional<Refusal> split(StoreDeed.Split deed) {
        return deed.part().toMilligrams() >= lot().left()
                ? refused("That is all of “%s”; a part is less than %s."
                        .formatted(lot().name(), say.mass(Mass.ofMilligrams(lot().left()))))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> process(StoreDeed.Process deed) {
        if (lot().herb().isEmpty()) {
            return refused("Only a herb is cut.");
        }
        Cut now = lot().herb().get().cut();
        if (deed.cut().compareTo(now) < 0) {
            return Optional.of(new Refusal(
                    "cut",
                    "“%s” is stored %s; it cannot be made coarser.".formatted(lot().name(), now.word()),
                    now.word() + ", or finer"));
        }
        return deed.out().grams() > deed.in().grams() * MOST_SHARE_OUT
                ? Optional.of(new Refusal(
                        "out",
                        "%s came of %s: more than went in.".formatted(say.mass(deed.out()), say.mass(deed.in())),
                        "what it weighs now"))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> merge(StoreDeed.Merge deed) {
        if (deed.lot().equals(deed.other())
                || !lots.get(0).kind().equals(lots.get(1).kind())) {
            return refused("Only lots of one thing in one state are put together.");
        }
        return lots.stream()
                .filter(one -> one.left() == 0)
                .findFirst()
                .map(gone -> Refusal.of("Nothing of “%s” is left to put together. Somebody may have done it already."
                        .formatted(gone.name())));
    }

    @Override
    public Optional<Refusal> blend(StoreDeed.Blend deed) {
        return deed.lots().stream().distinct().count()
                        < Math.max(2, deed.parts().size())
                ? Optional.of(
                        new Refusal("blend", "A blend needs two bottles or three, each once.", "another bottle below"))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> takeOut(StoreDeed.TakeOut deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> throwOut(StoreDeed.ThrowOut deed) {
        return lot().left() == 0
                ? refused("Nothing of “%s” is left, so there is nothing to throw out.".formatted(lot().name()))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> find(StoreDeed.Find deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> answer(StoreDeed.Answer deed) {
        return May.answering(deed.what(), deed.dealtWith());
    }

    @Override
    public Optional<Refusal> setRight(StoreDeed.SetRight deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> weighCup(StoreDeed.WeighCup deed) {
        return lot().herb().isEmpty() ? refused("Only a herb is weighed by the cup.") : Optional.empty();
    }

    @Override
    public Optional<Refusal> countDrops(StoreDeed.CountDrops deed) {
        return lot().own().contains(Own.DROPS)
                ? Optional.empty()
                : refused("Only what is dropped is counted in drops.");
    }

    @Override
    public Optional<Refusal> prove(StoreDeed.Prove deed) {
        return lot().own().contains(Own.STRENGTH)
                ? Optional.empty()
                : refused("Only a spirit or a tincture has a strength.");
    }

    @Override
    public Optional<Refusal> open(StoreDeed.Open deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> layOut(StoreDeed.LayOut deed) {
        if (lot().herb().isEmpty()) {
            return refused("Only a herb is laid out to dry.");
        } else if (lot().herb().get().moisture() == Moisture.DRIED) {
            return refused("“%s” is dried already.".formatted(lot().name()));
        }
        return lot().left() == 0
                ? refused("Nothing of “%s” is left to lay out.".formatted(lot().name()))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> weigh(StoreDeed.Weigh deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> takeDown(StoreDeed.TakeDown deed) {
        return Optional.empty();
    }

    /** Why a herb on the rack may not be taken down as wilted: it holds more water than that by its weight, or less. */
    public static Optional<Refusal> takeDownWilted(String name, DryingCourse course) {
        return course.isWilted()
                ? Optional.empty()
                : refused("“%s” is not wilted by its weight: %d %% water, and wilted is %d %%. Weigh it again."
                        .formatted(
                                name,
                                Math.round(course.waterNow() * 100),
                                Math.round(course.start().water().wilted().fraction() * 100)));
    }

    /** Why a herb on the rack may not be taken down: it is dry neither by hand nor by its sum. */
    public static Optional<Refusal> takeDown(String name, DryingCourse course) {
        if (course.state() == DryingCourse.State.CONTRADICTS) {
            return refused(
                    ("“%s” snaps, and by its weighings it is %d %% water: one of the two is wrong, so it is not taken down as "
                                    + "dried. Weigh it again, without stems, or correct the weighing that was off.")
                            .formatted(name, Math.round(course.waterNow() * 100)));
        }
        return course.state() == DryingCourse.State.DRY
                ? Optional.empty()
                : refused("“%s” is not dry yet: %d %% water by its weight. When stems snap, weigh it and say so."
                        .formatted(name, Math.round(course.waterNow() * 100)));
    }

    private static Optional<Refusal> refused(String wrong) {
        return Optional.of(Refusal.of(wrong));
    }
}
