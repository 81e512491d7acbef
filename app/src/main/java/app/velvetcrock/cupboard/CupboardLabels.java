package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.catalogue.AllowedWords;
import app.velvetcrock.core.label.Claims;
import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.LabelLine.Role;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the labels of bottles and made things say, line by line, as their pages say it. */
@Component
public class CupboardLabels {

    private static final int LONGEST = 200;

    private final Oils oils;
    private final Goods goods;
    private final Batches batches;
    private final Makings makings;
    private final GoodsCare care;
    private final GoodsLabel ingredients;
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
            AllowedWords claims,
            Households households,
            Clock clock) {
        this.oils = oils;
        this.goods = goods;
        this.batches = batches;
        this.makings = makings;
        this.care = care;
        this.ingredients = ingredients;
        this.claims = claims;
        this.households = households;
        this.clock = clock;
    }

    /** Words of the household's own on it, cut to what a label takes. */
    static String cut(String typed) {
        String plain = typed.strip();
        return plain.substring(0, Math.min(LONGEST, plain.length()));
    }

    public List<LabelLine> oil(UUID lot) {
        House house = households.current();
        Stock.OfOil oil = oils.find(lot);
        OilOnShelf shown = OilOnShelf.of(oil, batches.sheet(oil.batch()), house.dayOf(clock.instant()));
        OilPage.Label label = OilPage.label(shown, house);
        List<LabelLine> lines = new ArrayList<>();
        shown.conditions()
                .forEach(told -> lines.add(LabelLine.of(Role.ALARM, "! %s: keep back".formatted(told.word()))));
        lines.add(LabelLine.of(Role.TITLE, label.title()));
        label.herbs().forEach(herb -> lines.add(LabelLine.of(Role.OF, herb.botanical() + herb.state())));
        lines.add(LabelLine.of(Role.OF, "in " + label.carrier()));
        lines.add(LabelLine.of(Role.AMOUNT, label.amount()));
        lines.add(LabelLine.of(Role.DATES, "Made %s, best before %s".formatted(label.made(), house.date(oil.useBy()))));
        label.strong().forEach(line -> lines.add(LabelLine.strong(Role.KEEP, line, "")));
        label.plain().forEach(line -> lines.add(LabelLine.of(Role.KEEP, line)));
        lines.add(LabelLine.of(Role.CAUTIONS, label.cautions()));
        return lines;
    }

    /** A made thing's words: those of its label, and what of them claims too much. */
    record Worded(GoodOnShelf shelf, GoodOnShelf.Label label, List<Claims.Claim> claims) {

        /** Tells whether it is not printed with them. */
        boolean isRefused() {
            return claims.stream().anyMatch(Claims.Claim::never);
        }
    }

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
                        ingredients.of(sheet.course()),
                        new GoodOnShelf.Dated(made, house)),
                claims.claims(called + ". " + words));
    }

    /** How many labels a lot wants: one for each piece, or for each bottle that is just alike. */
    public int pieces(UUID lot) {
        if (!goods.isGood(lot)) {
            return 1;
        }
        Stock.OfGood good = goods.find(lot);
        return good.inPieces() ? (int) Math.max(1, good.left()) : 1;
    }

    public boolean isGood(UUID lot) {
        return goods.isGood(lot);
    }

    /** Nothing where its words claim what is printed nowhere. */
    public List<LabelLine> good(UUID lot, String title, String words) {
        Worded worded = worded(lot, cut(title), cut(words));
        if (worded.isRefused()) {
            return List.of();
        }
        GoodOnShelf.Label label = worded.label();
        List<LabelLine> lines = new ArrayList<>();
        worded.shelf()
                .wrong()
                .forEach(told -> lines.add(
                        LabelLine.of(Role.ALARM, "! %s: keep back, not to be given or sold".formatted(told.word()))));
        if (worded.shelf().back() != null) {
            lines.add(LabelLine.of(Role.ALARM, "! " + worded.shelf().back()));
        }
        lines.add(LabelLine.of(Role.TITLE, label.title()));
        lines.add(LabelLine.of(Role.FOR, label.kind()));
        lines.add(LabelLine.of(Role.FOR, cut(words)));
        lines.add(LabelLine.of(Role.OF, "Ingredients: " + label.in()));
        if (!label.contains().isEmpty()) {
            lines.add(LabelLine.strong(Role.ALLERGENS, "Contains: ", label.contains()));
        }
        lines.add(LabelLine.of(Role.AMOUNT, "Net " + label.net()));
        lines.add(LabelLine.of(Role.DATES, "Made %s, best before %s".formatted(label.made(), label.till())));
        lines.add(LabelLine.of(Role.CAUTIONS, label.cautions()));
        lines.add(LabelLine.of(Role.BATCH, label.batch()));
        lines.add(LabelLine.of(Role.WHO, households.current().settings().name()));
        return lines;
    }
}
