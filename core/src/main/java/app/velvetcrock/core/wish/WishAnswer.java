package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.BatchPlan;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One plan of the whole.
 *
 * @param bench the charge, with its days and hours
 * @param pan what is made of the oil; absent where the oil itself is wanted
 * @param late by how much it would be late by the way that is soonest; absent where it is in time
 * @param against what stands against it, with what would have to be otherwise; empty where it could be begun
 * @param toBuy what is not there, as a list to buy by
 * @param others other ways of reaching it that differ in something that matters
 */
public record WishAnswer(
        Wish wish,
        Planned bench,
        Optional<MixPlan> pan,
        Optional<String> late,
        List<Against> against,
        List<String> toBuy,
        List<Other> others) {

    public WishAnswer {
        against = List.copyOf(against);
        toBuy = List.copyOf(toBuy);
        others = List.copyOf(others);
    }

    /** Something that cannot be so, and the smallest change that then can. */
    public record Against(String fact, String change) {}

    /**
     * Another way to it.
     *
     * @param differs what is different then: "ready Tue 5 Jan"
     * @param field what to say otherwise, and how
     */
    public record Other(String name, String differs, String field, String value) {}

    /** Tells whether it could be begun as it stands, once what is not there is got. */
    public boolean canBegin() {
        return against.isEmpty();
    }

    /** The batch the oil of its second half comes from, as it is planned. */
    public Infused infused() {
        return ToBeMade.infused(plan());
    }

    public BatchPlan plan() {
        return bench.plan();
    }

    public Method way() {
        return plan().request().circumstances().method();
    }

    /** Till when what is wanted keeps, and by what that is limited. */
    public LocalDate keeps() {
        return pan.map(mix -> mix.keeping().date())
                .orElseGet(() -> plan().keepUntil().date());
    }

    public String limitedBy() {
        return pan.map(mix -> mix.keeping().limitedBy())
                .orElseGet(() -> plan().keepUntil().limitedBy().words());
    }

    /** What to beware of, in both halves of it, each once. */
    public List<Caution> cautions() {
        return Stream.concat(plan().cautions().stream(), pan.stream().flatMap(mix -> mix.cautions().stream()))
                .distinct()
                .toList();
    }
}
