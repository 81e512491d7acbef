package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.catalogue.AllowedWords;
import app.velvetcrock.core.label.NetWeight;
import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.LotWords;
import app.velvetcrock.labelled.Saying;
import app.velvetcrock.labelled.Truths;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the labels of bottles and made things say, line by line, as their pages say it. */
@Component
public class CupboardLabels {

    private final Oils oils;
    private final Goods goods;
    private final Batches batches;
    private final Makings makings;
    private final GoodsCare care;
    private final GoodsLabel ingredients;
    private final LabelLooks looks;
    private final LotWords words;
    private final AllowedWords claims;
    private final Households households;
    private final Clock clock;

    CupboardLabels(
            Oils oils,
            Goods goods,
            Batches batches,
            Makings makings,
            GoodsCare care,
            GoodsLabel ingredients,
            LabelLooks looks,
            LotWords words,
            AllowedWords claims,
            Households households,
            Clock clock) {
        this.oils = oils;
        this.goods = goods;
        this.batches = batches;
        this.makings = makings;
        this.care = care;
        this.ingredients = ingredients;
        this.looks = looks;
        this.words = words;
        this.claims = claims;
        this.households = households;
        this.clock = clock;
    }

    /** Reads together what the labels of some lots ask for, and tells of which batches their oils came. */
    public Set<UUID> ahead(List<UUID> lots) {
        Set<UUID> strained = new LinkedHashSet<>();
        if (!lots.isEmpty()) {
            List<UUID> made = new ArrayList<>();
            oils.left().stream().filter(oil -> lots.contains(oil.id())).forEach(oil -> strained.add(oil.batch()));
            lots.stream()
                    .filter(goods::isGood)
                    .forEach(lot -> made.add(goods.find(lot).batch()));
            makings.among(made).forEach(sheet -> strained.addAll(ingredients.oils(sheet.course())));
        }
        return strained;
    }

    /** Of a bottle, or of the jug it was strained into. */
    public Saying oil(UUID lot, boolean sale) {
        House house = households.current();
        Stock.OfOil oil = oils.leftOf(lot);
        OilOnShelf shown = OilOnShelf.of(oil, batches.sheet(oil.batch()), house.dayOf(clock.instant()));
        OilPage.Label label = OilPage.label(shown, house);
        LabelLook look = looks.look();
        LotWords.Own own = words.of(lot);
        String called = own.called(label.title());
        List<Says.Told> keep = new ArrayList<>();
        label.strong().forEach(line -> keep.add(new Says.Told(line, "")));
        label.plain().forEach(line -> keep.add(new Says.Told("", line)));
        return new Saying(
                new Says.Bottle(
                        shown.conditions().stream()
                                .map(told -> told.word() + ": keep back")
                                .toList(),
                        called,
                        own.words(),
                        label.herbs().stream()
                                .map(herb -> herb.botanical() + herb.state())
                                .toList(),
                        label.carrier(),
                        label.amount(),
                        sale ? NetWeight.figures(look.region(), shown.net().millilitres()) : 0,
                        "Made %s, best before %s".formatted(label.made(), house.date(oil.useBy())),
                        keep,
                        label.cautions(),
                        look.more(sale)),
                Truths.of(oil, care.open()),
                claimed(called, own.words()),
                missing(look, List.of()),
                held(shown.isHeld(Held.SELL), sale && isNeverSold(shown), oil.useBy(), look));
    }

    /** Tells whether an oil is never sold, by how it was made. */
    private boolean isNeverSold(OilOnShelf shown) {
        return shown.batch().plan().mark().isPresent()
                || shown.batch().plan().isMoistFood()
                || shown.batch().log().isByHand()
                || care.neverSold(shown.oil().batch(), shown.oil().id()).isPresent();
    }

    /** Why it is not printed for sale, whatever its own words are: how it stands, its day, what the household prints on all. */
    private String held(boolean isHeld, boolean isNeverSold, LocalDate useBy, LabelLook look) {
        House house = households.current();
        if (isHeld) {
            return "It is kept back, so it is not printed for sale.";
        }
        if (isNeverSold) {
            return "It is never sold, so it is not printed for sale: overridden, scorched, by the handful, or food for days only.";
        }
        if (useBy.isBefore(house.dayOf(clock.instant()))) {
            return "It is past its day, so it is not printed for sale.";
        }
        return claims.claims(house.settings().name() + ". " + look.more(true)).stream()
                .findFirst()
                .map(claim ->
                        "For sale it is not printed: what stands on all your labels says “%s”, %s. Change that first."
                                .formatted(claim.word(), claim.why()))
                .orElse("");
    }

    /** What a label for sale has to say beside what this says. */
    private static List<String> missing(LabelLook look, List<String> more) {
        List<String> missing = new ArrayList<>(more);
        if (look.where().isEmpty()) {
            missing.add("who made it, and where");
        }
        return missing;
    }

    private List<Saying.Claimed> claimed(String title, String words) {
        return Stream.concat(
                        claims.ofName(title).stream().map(claim -> new Saying.Claimed(true, title, claim)),
                        claims.claims(words).stream().map(claim -> new Saying.Claimed(false, words, claim)))
                .toList();
    }

    /** For the lid of either. */
    public Saying lid(UUID lot) {
        House house = households.current();
        Saying saying = goods.isGood(lot) ? good(lot, false) : oil(lot, false);
        int number = goods.isGood(lot)
                ? makings.sheet(goods.find(lot).batch()).number()
                : batches.sheet(oils.leftOf(lot).batch()).number();
        return new Saying(
                new Says.LidDot(
                        saying.truth().wrong(),
                        saying.says().name(),
                        saying.truth().day().map(house::date).orElse(""),
                        "batch %d".formatted(number)),
                saying.truth(),
                saying.claims(),
                List.of(),
                saying.held());
    }

    /** A made thing's words: those of its label, and what of them claims too much. */
    record Worded(GoodOnShelf shelf, GoodOnShelf.Label label, List<Saying.Claimed> claims) {}

    Worded worded(UUID lot, String title, String words) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        Stock.OfGood good = goods.find(lot);
        Makings.Sheet sheet = makings.sheet(good.batch());
        LocalDate made = sheet.holding().stream()
                .filter(at -> at.line() instanceof MakingLine.Poured)
                .map(MakingCourse.At::at)
                .findFirst()
                .map(house::dayOf)
                .orElse(today);
        GoodOnShelf shelf = GoodOnShelf.of(good, care.open(), today, house);
        String called = title.isEmpty() ? good.name() : title;
        return new Worded(
                shelf,
                GoodOnShelf.Label.of(
                        called,
                        shelf,
                        sheet.number(),
                        sheet.plan(),
                        new GoodOnShelf.In(ingredients.of(sheet.course()), ingredients.declared(sheet.course())),
                        new GoodOnShelf.Dated(made, house)),
                claimed(called, words));
    }

    public boolean isGood(UUID lot) {
        return goods.isGood(lot);
    }

    /** Of a tin, a jar or a bar. */
    public Saying good(UUID lot, boolean sale) {
        LotWords.Own own = words.of(lot);
        Worded worded = worded(lot, own.title(), own.words());
        GoodOnShelf.Label label = worded.label();
        GoodOnShelf shelf = worded.shelf();
        LabelLook look = looks.look();
        List<String> wrong = new ArrayList<>();
        shelf.wrong().forEach(told -> wrong.add("%s: keep back, not to be given or sold".formatted(told.word())));
        if (shelf.back() != null) {
            wrong.add(shelf.back());
        }
        Says.Made made = new Says.Made(
                wrong,
                label.title(),
                label.kind(),
                own.words(),
                label.in(),
                label.contains(),
                label.net(),
                sale ? NetWeight.figures(look.region(), shelf.good().each().grams()) : 0,
                "Made %s, best before %s".formatted(label.made(), label.till()),
                label.cautions(),
                "%s, %s"
                        .formatted(
                                label.batch(), households.current().settings().name()),
                look.more(sale));
        return new Saying(
                shelf.shape().equals("bar") ? new Says.Bar(made) : new Says.Tin(made),
                Truths.of(shelf.good(), care.open()),
                worded.claims(),
                missing(look, label.in().isEmpty() ? List.of("its ingredients") : List.of()),
                held(
                        !wrong.isEmpty(),
                        sale
                                && care.neverSold(
                                                shelf.good().batch(),
                                                shelf.good().id())
                                        .isPresent(),
                        shelf.good().useBy(),
                        look));
    }
}
