package app.velvetcrock.bench;

import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.Bottled;
import app.velvetcrock.core.bench.Charging;
import app.velvetcrock.core.bench.Pour;
import app.velvetcrock.core.bench.SpiritChoice;
import app.velvetcrock.core.bench.WantedOil;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.OfWay;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Ingredient;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Situation;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Wanted;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads the whole of the Bench's form into what is to be planned. */
@Component
class BenchReading {

    private final BenchStock stock;
    private final Retentions retentions;
    private final Materia materia;
    private final OwnRights rights;

    BenchReading(BenchStock stock, Retentions retentions, Materia materia, OwnRights rights) {
        this.stock = stock;
        this.retentions = retentions;
        this.materia = materia;
        this.rights = rights;
    }

    /** What one working-out has before it. */
    record Desk(
            Fields fields,
            BenchShelves shelves,
            House house,
            BenchSentence sentence,
            boolean withTime,
            LocalDate today) {}

    /** Everything before a vessel is chosen; absent when something is not clear, which then stands beside its field. */
    Optional<Charging> read(BenchForm form, Method way, Optional<OfJar> vessel, Desk desk) {
        Fields fields = desk.fields();
        List<BlendSentence.Row> rows = rows(form, desk);
        Optional<MixSentence.Read> mixed = new MixSentence(fields, desk.sentence())
                .read(
                        Objects.requireNonNullElse(form.mix(), SentencePart.Mix.NONE),
                        form.oil(),
                        bottles(form, desk.shelves(), fields));
        if (mixed.isEmpty()) {
            return Optional.empty();
        }
        Pour pour = new Pour(mixed.get().bottles(), mixed.get().carriers(), desk.today());
        if (form.want() != null && !BenchForm.isBlank(form.want().amount())) {
            List<Vessel> vessels = vessel.map(named -> List.of(named.vessel()))
                    .orElseGet(() -> desk.shelves().suiting(way).stream()
                            .map(OfJar::vessel)
                            .toList());
            Optional<WantedOil> wanted = new WantSentence(
                            fields, desk.house(), desk.shelves(), new Wanted.Room(vessels, way.headspace()), rights)
                    .wanted(form, rows, pour, retentions);
            return wanted.flatMap(want -> read(
                            form.making(weighed(want.wanted()), poured(form, want.wanted()) + " mL"), way, vessel, desk)
                    .map(asked -> asked.outOf(want)));
        }
        Optional<List<Mass>> masses =
                new BlendSentence(fields, desk.house()).masses(rows, form.total(), vessel.map(OfJar::vessel));
        Optional<OilWish> oil = mixed.get()
                .all()
                .map(all -> Optional.<OilWish>of(new OilWish.Exactly(all)))
                .orElseGet(() -> desk.sentence().oil(pour.density(), form.oil()));
        Method numbered = new NumbersSentence(fields, desk.house())
                .apply(way, form.numbers() == null ? SentencePart.Numbers.NONE : form.numbers());
        SpiritChoice spirit = desk.sentence()
                .spirit(
                        form.spirit() == null ? SentencePart.SpiritForm.NONE : form.spirit(),
                        desk.shelves().spirits(),
                        way.is(Method.SPIRIT_FIRST));
        Optional<PlanRequest.Circumstances> how = desk.sentence()
                .circumstances(form, numbered, spirit, desk.shelves().kit());
        if (!fields.isClear()) {
            return Optional.empty();
        }
        List<Stock.OfHerb> herbs = rows.stream().map(BlendSentence.Row::herb).toList();
        List<PlannedHerb> planned = new ArrayList<>();
        for (int i = 0; i < herbs.size(); i++) {
            Stock.OfHerb herb = herbs.get(i);
            planned.add(new PlannedHerb(
                    herb.kind(),
                    herb.texture(),
                    herb.moisture(),
                    herb.weighedBulk(),
                    masses.orElseThrow().get(i),
                    retentions.of(
                            herb.kind().key(),
                            herb.texture(),
                            herb.moisture(),
                            how.orElseThrow().pressing())));
        }
        return Optional.of(new Charging(
                herbs,
                planned,
                pour,
                oil.orElseThrow(),
                how.orElseThrow(),
                spirit,
                desk.sentence().charged(form.start(), how.orElseThrow().start()),
                Optional.empty()));
    }

    /** Grams to a tenth, rounded down: the oil worked out covers that much herb, and not a gram more. */
    private static String weighed(Wanted want) {
        return Decimals.upTo(Math.floor(want.herb().grams() * 10) / 10, 1) + " g";
    }

    /** Whole millilitres: rounded up where they are what just covers the herb. */
    private static long poured(BenchForm form, Wanted want) {
        double oil = want.oil().millilitres();
        return BenchForm.isBlank(form.oil()) ? (long) Math.ceil(oil) : Math.round(oil);
    }

    private List<BlendSentence.Row> rows(BenchForm form, Desk desk) {
        List<BlendSentence.Row> rows = new ArrayList<>();
        Stock.OfHerb first = pick(desk.fields(), "herb", desk.shelves().herbs(), Stock.OfHerb::id, form.herb());
        rows.add(new BlendSentence.Row(desk.sentence().cut(first, form.cut(), materia), form.amount(), "amount"));
        List<SentencePart.HerbRow> more = form.more() == null ? List.of() : form.more();
        for (int i = 0; i < more.size(); i++) {
            String field = "more[%d].".formatted(i);
            if (BenchForm.isBlank(more.get(i).herb())) {
                desk.fields()
                        .trouble(
                                field + "herb",
                                "An amount stands here without its herb.",
                                "a herb from the list, or empty the amount");
            } else {
                Stock.OfHerb herb = pick(
                        desk.fields(),
                        field + "herb",
                        desk.shelves().herbs(),
                        Stock.OfHerb::id,
                        more.get(i).herb());
                rows.add(new BlendSentence.Row(
                        desk.sentence().atLeast(herb, form.cut(), materia),
                        more.get(i).amount(),
                        field + "amount"));
            }
        }
        return rows;
    }

    /** The way named, shipped or the household's own; until one is chosen the fittest stands there. */
    Method way(BenchForm typed, BenchShelves shelves, House house, Fields fields, LocalDate today) {
        String said = BenchForm.or(typed.method(), "");
        boolean insists = said.endsWith(BenchForm.INSISTS) || !BenchForm.isBlank(typed.knowingly());
        String key = said.replace(BenchForm.INSISTS, "");
        Optional<Method> named = shelves.own().stream()
                .map(OfWay::method)
                .filter(method -> method.key().equals(key))
                .findFirst()
                .or(() -> Method.of(key));
        if (!shelves.areEnough()) {
            return named.orElse(Method.COLD_AND_DARK);
        }
        List<Ingredient> herbs = Stream.concat(
                        Stream.of(named(shelves.herbs(), Stock.OfHerb::id, typed.herb())
                                .orElse(shelves.herbs().get(0))),
                        Stream.ofNullable(typed.more())
                                .flatMap(List::stream)
                                .filter(Objects::nonNull)
                                .flatMap(row -> named(shelves.herbs(), Stock.OfHerb::id, row.herb()).stream()))
                .map(herb -> new Ingredient(herb.kind(), herb.texture().part(), herb.moisture()))
                .toList();
        CarrierKind carrier = together(typed, shelves, new Fields(house.reader()), today);
        Use use = Stream.of(Use.values())
                .filter(value -> value.name().equals(typed.use()))
                .findFirst()
                .orElse(Use.ADULT_SKIN);
        boolean moistFood = use == Use.FOOD
                && herbs.stream().anyMatch(herb -> !herb.moisture().isDried());
        Situation situation = new Situation(
                herbs,
                carrier,
                use,
                new Means(
                        house.settings().pantry(),
                        shelves.spirits().stream().findFirst().flatMap(Stock.OfSupply::strength),
                        shelves.kit()));
        Choice fittest = Choice.fittest(situation);
        Optional<Fitness> fitness = named.map(way -> Fitness.of(Variants.suiting(way, moistFood), situation));
        boolean stays = fitness.filter(fit -> fit.isAllowed()
                        || insists && fit.isOverridable(use)
                        || !fittest.fitness().isAllowed())
                .isPresent();
        if (named.isPresent() && stays) {
            return Variants.suiting(named.get(), moistFood);
        }
        fitness.ifPresent(fit -> fields.echo(
                "method",
                "%s cannot make this: %s. %s stands here instead"
                        .formatted(
                                named.get().name(),
                                fit.refusals().get(0).fact(),
                                fittest.method().name())));
        return Variants.suiting(fittest.method(), moistFood);
    }

    /** What its oils are together, for choosing a way; shares that are not clear yet count alike. */
    CarrierKind together(BenchForm form, BenchShelves shelves, Fields unseen, LocalDate today) {
        List<Bottled> bottles = bottles(form, shelves, unseen);
        return new Carriers(bottles.stream()
                        .map(bottle -> new Carriers.Part(bottle.carrier(), 1.0 / bottles.size()))
                        .toList())
                .asFound(today);
    }

    /** The bottles named, the first before those it is mixed with; a row without its oil stands for nothing yet. */
    List<Bottled> bottles(BenchForm form, BenchShelves shelves, Fields fields) {
        List<Bottled> bottles = new ArrayList<>();
        bottles.add(bottle("carrier", form.carrier(), shelves, fields));
        List<SentencePart.OilRow> more =
                form.mix() == null ? List.of() : form.mix().others();
        for (int i = 0; i < more.size(); i++) {
            String field = "mix.more[%d].carrier".formatted(i);
            if (BenchForm.isBlank(more.get(i).carrier())) {
                fields.trouble(
                        field, "An amount stands here without its oil.", "an oil from the list, or empty the amount");
            } else {
                bottles.add(bottle(field, more.get(i).carrier(), shelves, fields));
            }
        }
        return bottles;
    }

    private Bottled bottle(String field, @Nullable String typed, BenchShelves shelves, Fields fields) {
        return named(shelves.oils(), Stock.OfOil::id, typed)
                .map(stock::pour)
                .orElseGet(() -> Bottled.of(pick(fields, field, shelves.carriers(), Stock.OfCarrier::id, typed)));
    }

    static <T> Optional<T> named(List<T> from, Function<T, UUID> id, @Nullable String typed) {
        return BenchForm.id(typed).flatMap(wanted -> from.stream()
                .filter(value -> id.apply(value).equals(wanted))
                .findFirst());
    }

    private static <T> T pick(Fields fields, String field, List<T> from, Function<T, UUID> id, @Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            return from.get(0);
        }
        return named(from, id, typed).orElseGet(() -> {
            fields.trouble(field, "That is used up or not here any more.", "another from the list");
            return from.get(0);
        });
    }
}
