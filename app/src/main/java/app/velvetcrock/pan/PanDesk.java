package app.velvetcrock.pan;

import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.melt.Wished;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.web.Fields;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the Pan's sentence beside the stores, fills in what is not said, and works it out. */
@Service
public class PanDesk {

    private static final double WORTH_MELTING = 80;

    private final PanStock stock;
    private final PanPlanner planner;
    private final BoughtPrices prices;
    private final Households households;
    private final Wished wished;

    PanDesk(PanStock stock, PanPlanner planner, BoughtPrices prices, Households households, Wished wished) {
        this.wished = wished;
        this.prices = prices;
        this.stock = stock;
        this.planner = planner;
        this.households = households;
    }

    /** What the page shows of a sentence. */
    record Desk(
            House house,
            Fields fields,
            PanShelves shelves,
            Kind kind,
            PanForm form,
            OwnRights.Learned learned,
            Optional<Long> bought,
            Optional<MixPlan> planned) {}

    /** What all of a plan costs, as far as that is known. */
    Optional<Costs.Cost> cost(MixPlan plan) {
        return planner.cost(plan);
    }

    House house() {
        return households.current();
    }

    /**
     * The plan of a sentence, to be begun.
     *
     * @throws IllegalArgumentException where it cannot be read, or not all of it is here
     */
    @Transactional(readOnly = true)
    public MakingPlan plan(PanForm form, LocalDate today) {
        Desk desk = desk(form, today);
        return desk.planned()
                .filter(MixPlan::canStart)
                .map(planned -> planned.frozen(
                        PanForm.text(form.name()).isEmpty() ? usualName(desk) : PanForm.text(form.name())))
                .orElseThrow(() -> new IllegalArgumentException("%s: %s %s"
                        .formatted(
                                form, desk.fields().troubles(), desk.planned().map(MixPlan::missing))));
    }

    /** A plan and what it is called. */
    public record Titled(String title, MakingPlan plan) {}

    /** What is planned, whether all of it is here or not; absent where nothing can be worked out. */
    @Transactional(readOnly = true)
    public Optional<Titled> titled(PanForm form, LocalDate today) {
        Desk desk = desk(form, today);
        String title = PanForm.text(form.name()).isEmpty() ? usualName(desk) : PanForm.text(form.name());
        return desk.planned().map(planned -> new Titled(title, planned.frozen(title)));
    }

    Desk desk(PanForm form, LocalDate today) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Optional<Wished.Coming> coming = form.wished().flatMap(wished::coming);
        PanShelves stored = stock.shelves(house, today);
        PanShelves shelves = coming.map(one -> stored.and(one.oil())).orElse(stored);
        Kind kind = planner.kind(form.kind());
        PanForm filled = named(measured(filled(form, kind, shelves), kind, shelves), shelves);
        OwnRights.Learned learned = planner.learned(kind, house);
        return new Desk(
                house,
                fields,
                shelves,
                kind,
                filled,
                learned,
                bought(filled, kind, fields, house),
                planner.plan(filled, kind, shelves, learned, new PanPlanner.At(house, fields, coming)));
    }

    /** What a bought one costs: as typed, else as it was said last of this kind. */
    private Optional<Long> bought(PanForm form, Kind kind, Fields fields, House house) {
        return PanForm.text(form.bought()).isEmpty()
                ? prices.of(kind.key())
                : fields.money("bought", form.bought(), house.money()).filter(price -> price > 0);
    }

    /** Of another kind than before its own butters stand in the rows; of no kind yet, a few tins of a salve. */
    private PanForm filled(PanForm form, Kind kind, PanShelves shelves) {
        if (kind.key().equals(form.was())) {
            return form;
        }
        List<PanForm.Row> rows = kind.others().entrySet().stream()
                .flatMap(one -> shelves
                        .ofKey(one.getKey())
                        .map(thing -> new PanForm.Row(thing.name(), Math.round(one.getValue() * 100) + " %"))
                        .stream())
                .toList();
        boolean fresh = form.was() == null;
        PanForm other = fresh ? begun(form, kind, shelves) : form.withoutFirmness();
        // What was infused in its own fats has its butters in it: none stand in the rows again.
        boolean hasThem = shelves.oil(PanForm.text(other.oil()))
                .filter(oil -> planner.setsByItself(oil, households.current()))
                .isPresent();
        List<PanForm.Row> said = fresh && form.with() != null ? PanForm.said(form.with()) : rows;
        return other.filled(kind.key(), hasThem && form.with() == null ? List.of() : said);
    }

    /** Kinds meant by their key are named as they stand in the lists: by their lot, where one is here. */
    private static PanForm named(PanForm form, PanShelves shelves) {
        String oil = shelves.oil(PanForm.text(form.oil())).map(PanThing::name).orElse(form.oil());
        String wax =
                shelves.meltable(PanForm.text(form.wax())).map(PanThing::name).orElse(form.wax());
        List<PanForm.Row> with = PanForm.said(form.with()).stream()
                .map(row -> new PanForm.Row(
                        shelves.meltable(PanForm.text(row.of()))
                                .map(PanThing::name)
                                .orElse(row.of()),
                        row.share()))
                .toList();
        List<PanForm.Row> add = PanForm.said(form.add()).stream()
                .map(row -> new PanForm.Row(
                        shelves.addition(PanForm.text(row.of()))
                                .map(PanThing::name)
                                .orElse(row.of()),
                        row.share()))
                .toList();
        return new PanForm(
                form.key(),
                form.much(),
                form.into(),
                form.kind(),
                form.was(),
                oil,
                wax,
                form.share(),
                form.firm(),
                form.name(),
                form.use(),
                form.room(),
                form.bought(),
                with,
                add,
                form.wish());
    }

    /** Before anything is said: all of the oil that should be used first and is enough for a tin or two, in what is no bottle. */
    private static PanForm begun(PanForm form, Kind kind, PanShelves shelves) {
        String oil = form.oil() != null
                ? form.oil()
                : shelves.oils().stream()
                        .filter(one -> one.left().grams() >= WORTH_MELTING)
                        .findFirst()
                        .map(PanThing::name)
                        .orElse("");
        boolean bar = kind.isMoulded();
        String into = form.into() != null
                ? form.into()
                : shelves.containers().stream()
                        .filter(one -> one.container().mould() == bar && !one.isBottle())
                        .max(Comparator.comparing((PanShelves.Tin one) -> one.left() > 0)
                                .thenComparing(one -> one.container().brim()))
                        .map(PanShelves.Tin::name)
                        .orElse("");
        return form.from(oil, into);
    }

    /** Where a kind is all fat and no oil, all of that fat there is, or a cup of it. */
    private static PanForm measured(PanForm form, Kind kind, PanShelves shelves) {
        boolean oilless =
                kind.others().values().stream().mapToDouble(Double::doubleValue).sum() > 0.999;
        if (!oilless || !PanForm.text(form.much()).isEmpty()) {
            return form;
        }
        return form.much(kind.others().keySet().stream()
                .flatMap(key -> shelves.ofKey(key).stream())
                .filter(fat -> fat.left().grams() > 1)
                .findFirst()
                .map(fat -> Decimals.upTo(Math.floor(fat.left().grams() * 10) / 10, 1) + " g")
                .orElse("1 cup"));
    }

    /** What it is called where nobody says otherwise. */
    static String usualName(Desk desk) {
        String kind = desk.kind().name();
        return desk.planned()
                .map(planned -> "%s%s of %s"
                        .formatted(
                                kind.substring(0, 1).toUpperCase(Locale.ROOT),
                                kind.substring(1),
                                Addition.spoken(planned.read().oil().common())))
                .map(name -> name.length() > 90 ? name.substring(0, 90) : name)
                .orElse(kind);
    }
}
