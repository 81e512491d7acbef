package app.velvetcrock.bench;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.bench.WantedMaking;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.heat.SourceLearned;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Disagreement;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.draw.BenchPicture;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.SourceCurves;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts the Bench's page together; whoever refuses what stands on it shows it again. */
@Component
public class BenchPages {

    private final List<Disagreement> schools = Disagreement.shipped();
    /** More than these nobody reads while planning. */
    private static final int LESSONS = 3;

    private final Batches batches;
    private final Costs costs;
    private final Persons persons;
    private final KitShelf kit;
    private final SourceCurves curves;
    private final Households households;

    BenchPages(
            Batches batches, Costs costs, Persons persons, KitShelf kit, SourceCurves curves, Households households) {
        this.persons = persons;
        this.batches = batches;
        this.costs = costs;
        this.kit = kit;
        this.curves = curves;
        this.households = households;
    }

    /** Shows the Bench as it stands. */
    public String show(Model model, BenchWork work) {
        House house = households.current();
        BenchForm form = work.form();
        model.addAttribute("work", work);
        model.addAttribute("choices", BenchChoices.of(work, house));
        model.addAttribute("fields", work.fields());
        model.addAttribute("schools", schools);
        model.addAttribute(
                "bench",
                work.planned()
                        .map(planned -> BenchPage.of(work, planned, cost(planned), house))
                        .orElse(null));
        model.addAttribute(
                "when",
                work.planned()
                        .flatMap(Planned::timing)
                        .map(timing -> WhenPage.of(timing, Objects.requireNonNull(form.time()), work.isFresh(), house))
                        .orElse(null));
        model.addAttribute("numbers", NumbersSentence.rows(work.way(), Objects.requireNonNull(form.numbers()), house));
        model.addAttribute(
                "sources",
                work.planned().map(planned -> sources(planned, house)).orElse(List.of()));
        model.addAttribute("then", work.then());
        model.addAttribute(
                "reacts",
                work.planned()
                        .map(planned -> persons.whoReactsTo(
                                Recipient.borne(planned.plan().request())))
                        .orElse(List.of()));
        model.addAttribute(
                "lessons",
                work.planned()
                        .map(planned -> batches.lessons(planned.plan().request().herbKeys(), LESSONS))
                        .orElse(List.of()));
        model.addAttribute(
                "toBuy",
                work.planned()
                        .map(planned -> WantedMaking.toBuy(planned, work.shelves(), house.wording()))
                        .orElse(List.of()));
        model.addAttribute("whole", whole(work));
        model.addAttribute(
                "wishSaid", form.wish().map(WishForm::named).orElse(Map.of()).entrySet());
        model.addAttribute("remedies", remedies(work));
        model.addAttribute("marks", BenchPicture.Marks.of(house.settings().units()));
        return "bench/bench";
    }

    /** The wish it is a half of, as it stands here now: with this herb, so much of it, this oil. A blend is told nowhere but here. */
    private static String whole(BenchWork work) {
        WishForm wish = work.form().wish().orElse(WishForm.example(""));
        boolean plain = !work.form().isBlend() && !work.form().isMix();
        return work.planned()
                .filter(planned -> plain)
                .map(planned -> planned.first().plan().request())
                .map(request -> {
                    PlannedHerb herb = request.herbs().get(0);
                    return wish.with("amount", BenchForm.or(work.form().amount(), ""))
                            .with("herb", herb.kind().common())
                            .with("state", herb.moisture().name())
                            .with("cut", herb.texture().cut().name())
                            .with("oil", request.carrier().kind().common())
                            .with("use", request.circumstances().use().name())
                            .with(
                                    "needed",
                                    BenchForm.or(
                                            Objects.requireNonNull(work.form().time())
                                                    .by(),
                                            ""))
                            .with(
                                    "what",
                                    work.form()
                                            .wish()
                                            .map(one -> WishForm.text(one.what()))
                                            .orElse("the oil itself"));
                })
                .or(() -> work.form().wish())
                .map(one -> one.address("/wish"))
                .orElse("/wish");
    }

    /** What is known of each source that could heat it, before anything is warmed: which setting suits, which does not. */
    private List<String> sources(Planned planned, House house) {
        Method method = planned.plan().request().circumstances().method();
        Optional<Stage> heated =
                method.stages().stream().filter(Stage::isHeated).findFirst();
        if (heated.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<SourceCurve>> shown = curves.all();
        Volume load = kit.load(method, planned.plan().charge());
        return kit.all().stream()
                .filter(piece -> method.sources().stream().anyMatch(source -> source.name()
                        .equals(piece.kit().kind().name())))
                .flatMap(piece -> SourceLearned.advice(
                        piece.kit().name(),
                        shown.getOrDefault(piece.id(), List.of()),
                        load,
                        heated.get(),
                        house.wording())
                        .stream())
                .toList();
    }

    /** What the planned herb, oil and spirit cost, where their lots have a price. */
    private Optional<Costs.Cost> cost(Planned planned) {
        List<Costs.Taken> taken = planned.parts().stream()
                .flatMap(part -> part
                        .frozen()
                        .taking(
                                part.weighed().herb(),
                                part.plan()
                                        .request()
                                        .carrier()
                                        .kind()
                                        .density()
                                        .massOf(part.weighed().oil()))
                        .stream())
                .map(take -> new Costs.Taken(take.lot(), take.mass().toMilligrams()))
                .toList();
        return costs.of(taken);
    }

    /** A remedy in words, with the field it changes and what is to stand there. */
    record RemedyChip(String words, String field, String value) {}

    private List<RemedyChip> remedies(BenchWork work) {
        House house = households.current();
        return work.planned().stream()
                .flatMap(p -> p.plan().remedies().stream())
                .map(remedy -> chip(remedy, work, house))
                .toList();
    }

    private static RemedyChip chip(Remedy remedy, BenchWork work, House house) {
        if (remedy instanceof Remedy.MoreOil more) {
            Volume oil = house.settings().units().measuredUp(more.oil());
            return new RemedyChip(
                    "pour %s, which makes it %s"
                            .formatted(
                                    house.volume(oil),
                                    house.ratio(more.ratio()
                                            * oil.millilitres()
                                            / more.oil().millilitres())),
                    "oil",
                    Decimals.upTo(Math.ceil(oil.millilitres() * 10) / 10, 1) + " mL");
        } else if (remedy instanceof Remedy.FinerCut finer) {
            return new RemedyChip(
                    "take it %s".formatted(finer.cut().word()),
                    "cut",
                    finer.cut().name());
        } else if (remedy instanceof Remedy.LessHerb less) {
            return new RemedyChip(
                    "take only %s of herb".formatted(house.mass(less.herb())),
                    work.planned().orElseThrow().plan().request().herbs().size() > 1 ? "total" : "amount",
                    less.herb().grams() + " g");
        }
        if (remedy instanceof Remedy.SplitOver split) {
            return new RemedyChip("divide it over %s".formatted(jars(split)), "jar", BenchForm.SPLIT);
        }
        Remedy.OtherJar other = (Remedy.OtherJar) remedy;
        String jar = Stream.concat(work.shelves().jars().stream(), work.shelves().pots().stream())
                .filter(j -> j.vessel().equals(other.vessel()))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        return new RemedyChip("use the %s".formatted(other.vessel().name()), "jar", jar);
    }

    /** The jars of a division: "3 × Litre jar", "2 × Half litre jar and Litre jar". */
    private static String jars(Remedy.SplitOver split) {
        Map<String, Long> counts = split.shares().stream()
                .collect(Collectors.groupingBy(
                        share -> share.vessel().name(), LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .map(jar -> jar.getValue() == 1 ? jar.getKey() : jar.getValue() + " × " + jar.getKey())
                .collect(Collectors.joining(" and "));
    }
}
