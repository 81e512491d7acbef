package app.velvetcrock.pan;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.MixPlanner;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.melt.Wished;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.PerRequest;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Has the core work the Pan's sentence out, of what is stored. */
@Component
class PanPlanner {

    private static final int LESSONS = 3;

    private final OwnRights rights;
    private final Batches batches;
    private final Costs costs;
    private final Persons persons;
    private final Conditions conditions;
    private final MixPlanner planner = new MixPlanner();

    PanPlanner(OwnRights rights, Batches batches, Costs costs, Persons persons, Conditions conditions) {
        this.conditions = conditions;
        this.persons = persons;
        this.rights = rights;
        this.batches = batches;
        this.costs = costs;
    }

    List<Kind> kinds() {
        return planner.kinds();
    }

    Kind kind(@Nullable String key) {
        return planner.kind(key);
    }

    OwnRights.Learned learned(Kind kind, House house) {
        return rights.of(kind.key(), house);
    }

    /** Where it is planned, and the fields what is wrong stands beside. */
    record At(House house, Fields fields, Optional<Wished.Coming> coming) {}

    Optional<MixPlan> plan(PanForm form, Kind kind, PanShelves shelves, OwnRights.Learned learned, At at) {
        return new PanReading(
                        shelves,
                        planner.setting(),
                        (oil, room) -> planner.fats(oil, room, infusions(at)),
                        at.house(),
                        at.fields())
                .read(form, kind, learned.right())
                .map(mix -> planner.plan(
                        mix,
                        new MixPlanner.Around(
                                shelves,
                                infusions(at),
                                rights.cooling(Cooling.Where.IN_AIR),
                                at.house().wording())));
    }

    /** What all of it costs, as far as that is known: of an oil that is still to come it is not. */
    Optional<Costs.Cost> cost(MixPlan plan) {
        return costs.of(plan.taken().stream()
                        .map(one -> new Costs.Taken(one.lot(), one.amount()))
                        .toList())
                .map(cost -> plan.isToCome() ? cost.without(plan.read().oil().common()) : cost);
    }

    /** Tells whether an oil was infused in fats, and so sets by itself. */
    boolean setsByItself(PanThing oil, House house) {
        return planner.fats(oil, house.settings().room(), this::infusions) > 0;
    }

    /** The batches some oils came from, and the one that is to come. */
    private MixPlanner.Infusions infusions(At at) {
        return from -> at.coming()
                .filter(coming -> from.contains(coming.infused().batch()))
                .map(coming -> Stream.concat(
                                Stream.of(coming.infused()),
                                infusions(from.stream()
                                                .filter(one -> !one.equals(
                                                        coming.infused().batch()))
                                                .toList())
                                        .stream())
                        .toList())
                .orElseGet(() -> infusions(from));
    }

    /** Who is known to react to something in it, in its oils as well. */
    List<Caution> whoReacts(MixPlan plan) {
        List<Infused> oils = infusions(plan.batches());
        return persons.whoReactsTo(Recipient.borne(
                Stream.concat(plan.kindKeys().stream(), oils.stream().flatMap(one -> one.request().kindKeys().stream()))
                        .toList(),
                plan.borne(oils)));
    }

    /** Why what is made of it is never sold; absent where nothing in it forbids that. */
    Optional<String> neverSold(MixPlan plan) {
        return Stream.concat(
                        plan.batches().stream().flatMap(batch -> conditions.neverSold(batch, null).stream()),
                        plan.taken().stream().flatMap(one -> conditions.neverSold(null, one.lot()).stream()))
                .findFirst()
                .map(why -> "What is made of it is never sold: in it is oil that was hot enough to scorch.");
    }

    /** How others of its kind turned out, and what the batches of its oils, and others of the same herbs, taught. */
    List<Batches.Taught> lessons(MixPlan plan) {
        return batches.lessons(
                Stream.concat(
                                Stream.of(plan.read().kind().key()),
                                infusions(plan.batches()).stream().flatMap(one -> one.request().herbKeys().stream()))
                        .distinct()
                        .toList(),
                LESSONS);
    }

    private List<Infused> infusions(List<UUID> from) {
        return PerRequest.of("pan's batches " + from, Current.person(), () -> batches.among(from).stream()
                .map(BatchSheet::infused)
                .toList());
    }
}
