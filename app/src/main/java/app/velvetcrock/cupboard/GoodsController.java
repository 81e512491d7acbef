package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.catalogue.AllowedWords;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.labelled.LotWords;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.LotStory;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** A made thing of the Cupboard: used, given, sold or thrown out by the piece, and its label. */
@Controller
class GoodsController {

    private static final int MOST_LABELS = 60;

    private final Goods goods;
    private final Stores stores;
    private final Costs costs;
    private final Makings makings;
    private final Households households;
    private final Clock clock;
    private final CupboardLabels labels;
    private final GoodsCare care;
    private final PanDeeds pan;
    private final Parting parting;
    private final ToWhom toWhom;
    private final AllowedWords claims;
    private final LotWords words;

    GoodsController(
            Goods goods,
            Stores stores,
            Costs costs,
            Makings makings,
            CupboardLabels labels,
            GoodsCare care,
            PanDeeds pan,
            Parting parting,
            ToWhom toWhom,
            AllowedWords claims,
            LotWords words,
            Households households,
            Clock clock) {
        this.labels = labels;
        this.care = care;
        this.pan = pan;
        this.parting = parting;
        this.toWhom = toWhom;
        this.claims = claims;
        this.words = words;
        this.goods = goods;
        this.stores = stores;
        this.costs = costs;
        this.makings = makings;
        this.households = households;
        this.clock = clock;
    }

    /** What was taken out. */
    record TakeForm(
            @Nullable UUID key,
            @Nullable String count,
            @Nullable String why,
            @Nullable String when,
            @Nullable String who,
            @Nullable String price) {

        static final TakeForm EMPTY = new TakeForm(null, "1", "DRAWN", "", "", "");
    }

    /** A line of its story. */
    record StoryLine(String when, String why, String amount, @Nullable UUID undo) {}

    @GetMapping("/cupboard/goods/{lot}")
    String good(@PathVariable UUID lot, Model model) {
        return show(model, lot, Sent.nothing(fields(), TakeForm.EMPTY));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(Model model, UUID lot, Sent<TakeForm> sent) {
        House house = households.current();
        Stock.OfGood good = goods.find(lot);
        Makings.Sheet sheet = makings.sheet(good.batch());
        model.addAttribute("shelf", GoodOnShelf.of(good, care.open(), house.dayOf(clock.instant()), house));
        model.addAttribute("sheet", sheet);
        model.addAttribute("sent", sent);
        model.addAttribute("neverSold", care.neverSold(good.batch(), lot).orElse(null));
        model.addAttribute("conditions", care.conditions(good));
        model.addAttribute("claims", claims.ofName(good.name()));
        model.addAttribute("whys", whys());
        model.addAttribute("story", story(stores.story(lot), good, house));
        return "cupboard/good";
    }

    /** What may have been done with it: what is kept back is not given or sold any more, but may have been. */
    private static List<Fields.Option> whys() {
        List<Fields.Option> whys = new ArrayList<>();
        for (Taking why : Taking.values()) {
            whys.add(new Fields.Option(why.name(), why.word()));
        }
        whys.add(new Fields.Option(Cause.DISCARDED.name(), "thrown out"));
        return whys;
    }

    /** What was thrown out cost, where what went into it has a price. */
    private static String lost(LotStory.Line line, Stock.OfGood good, Optional<Double> each, House house) {
        Mass gone = good.inPieces() ? good.each().times(line.amount()) : Mass.ofMilligrams(line.amount());
        return each.filter(cost -> line.lost())
                .map(cost -> ", which cost " + house.money(Math.round(cost * gone.toMilligrams())))
                .orElse("");
    }

    private List<StoryLine> story(LotStory story, Stock.OfGood good, House house) {
        Optional<Double> each = story.lines().stream().anyMatch(LotStory.Line::lost)
                ? costs.ofMilligram(good.batch())
                : Optional.empty();
        List<StoryLine> lines = new ArrayList<>(story.lines().stream()
                .map(line -> new StoryLine(
                        house.moment(line.happenedAt()),
                        line.why() + lost(line, good, each, house),
                        (line.in() ? "+ " : "− ")
                                + (good.inPieces()
                                        ? String.valueOf(line.amount())
                                        : house.mass(story.mass(line.amount()))),
                        line.canTakeBack() ? line.id() : null))
                .toList());
        Collections.reverse(lines);
        return lines;
    }

    @PostMapping("/cupboard/goods/{lot}/take")
    String take(@PathVariable UUID lot, TakeForm form, Reply reply) {
        Stock.OfGood good = goods.find(lot);
        House house = households.current();
        Fields fields = fields();
        Optional<Long> amount = good.inPieces()
                ? fields.whole("count", form.count(), 1, (int) Math.max(1, good.left()), "pieces")
                        .map(Integer::longValue)
                : fields.mass(
                                "count",
                                form.count(),
                                0.1,
                                Math.max(0.1, good.mass().grams() * 1.02))
                        .map(mass -> Math.min(good.left(), mass.toMilligrams()));
        boolean discarded = Cause.DISCARDED.name().equals(form.why());
        Optional<Taking> why = discarded ? Optional.empty() : fields.oneOf("why", Taking.class, form.why());
        Instant at = fields.moment("when", form.when(), house.past(clock.instant()))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(clock.instant());
        ToWhom.Said said = toWhom.read(fields, house, form.who(), form.price(), at);
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        return reply.answer(
                new FormSent("g-", key, fields, "/cupboard/goods/" + lot),
                () -> show(reply.model(), lot, new Sent<>("take", fields, form, TakeForm.EMPTY)),
                () -> {
                    Optional<Leaving.Kind> left = why.flatMap(ToWhom::kind);
                    Cause cause = why.map(Taking::cause).orElse(Cause.DISCARDED);
                    UUID movement = left.isPresent()
                            ? parting.good(
                                    lot,
                                    amount.orElseThrow(),
                                    left.orElseThrow(),
                                    toWhom.terms(said, lot),
                                    new Parting.Once(key, at, ""))
                            : goods.draw(lot, amount.orElseThrow(), cause, at);
                    return new Done(
                            "/cupboard/goods/" + lot,
                            "%s: %s."
                                    .formatted(
                                            good.inPieces() ? amount.orElseThrow() + " × " + good.name() : good.name(),
                                            cause.word()),
                            "/cupboard/goods/%s/movements/%s/undo".formatted(lot, movement));
                });
    }

    @PostMapping("/cupboard/goods/{lot}/movements/{movement}/undo")
    String undo(@PathVariable UUID lot, @PathVariable UUID movement, Reply reply) {
        return reply.tap("/cupboard/goods/" + lot, () -> {
            goods.find(lot);
            parting.takeBack(lot, movement);
            return new Done("/cupboard/goods/" + lot, "Taken back. The story keeps both lines.");
        });
    }

    /** Smells it: off is written in its log and held against it until it is answered. */
    @PostMapping("/cupboard/goods/{lot}/sniff")
    String sniff(
            @PathVariable UUID lot, @Nullable UUID key, @Nullable String smell, @Nullable String when, Reply reply) {
        Stock.OfGood good = goods.find(lot);
        House house = households.current();
        Fields fields = fields();
        Instant at = fields.moment("when", when, house.past(clock.instant()))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(clock.instant());
        if (!"GOOD".equals(smell) && !"OFF".equals(smell)) {
            fields.trouble("when", "It is not said how it smells: good or off.", "one of the two buttons");
        }
        UUID once = key == null ? UUID.randomUUID() : key;
        TakeForm typed = new TakeForm(null, "1", "DRAWN", Objects.requireNonNullElse(when, ""), "", "");
        return reply.answer(
                new FormSent("s-", once, fields, "/cupboard/goods/" + lot),
                () -> show(reply.model(), lot, new Sent<>("sniff", fields, typed, TakeForm.EMPTY)),
                () -> {
                    boolean passed = "GOOD".equals(smell);
                    UUID entry = pan.done(good.batch(), Current.doing(new PanDeed.Smell(lot, passed), once, at, ""));
                    return new Done(
                            "/cupboard/goods/" + lot,
                            passed
                                    ? "Smelled and good: the date stays %s.".formatted(house.date(good.useBy()))
                                    : "Smelled off: neither given nor sold until that is answered.",
                            "/pan/%s/lines/%s/undo".formatted(good.batch(), entry));
                });
    }

    @GetMapping("/cupboard/goods/{lot}/label")
    String label(@PathVariable UUID lot, @Nullable String copies, Model model) {
        LotWords.Own own = words.of(lot);
        return label(model, lot, new LabelForm(null, own.title(), own.words()), copies, fields());
    }

    /** Words of the household's own on a label. */
    record LabelForm(@Nullable UUID key, @Nullable String title, @Nullable String words) {}

    private String label(Model model, UUID lot, LabelForm form, @Nullable String copies, Fields fields) {
        String title = Objects.requireNonNullElse(form.title(), "");
        String own = Objects.requireNonNullElse(form.words(), "");
        CupboardLabels.Worded worded = labels.worded(lot, title, own);
        Stock.OfGood good = worded.shelf().good();
        model.addAttribute("fields", fields);
        model.addAttribute("shelf", worded.shelf());
        model.addAttribute("own", own);
        int each = good.inPieces() ? (int) Math.max(1, Math.min(MOST_LABELS, good.left())) : 1;
        model.addAttribute("each", each);
        model.addAttribute(
                "copies",
                IntStream.range(0, "each".equals(copies) ? each : 1).boxed().toList());
        model.addAttribute("called", worded.label().title());
        model.addAttribute("claims", worded.claims());
        model.addAttribute("label", worded.label());
        return "cupboard/good-label";
    }

    /** Keeps the words of its label; whatever they claim is said on it, and what may not be printed is not. */
    @PostMapping("/cupboard/goods/{lot}/label")
    String words(@PathVariable UUID lot, LabelForm form, Reply reply) {
        Stock.OfGood good = goods.find(lot);
        Fields fields = fields();
        String title = fields.optionalWords("title", form.title(), LotWords.LONGEST_TITLE)
                .filter(said -> !said.equals(good.name()))
                .orElse("");
        String own =
                fields.optionalWords("words", form.words(), LotWords.LONGEST).orElse("");
        String page = "/cupboard/goods/%s/label".formatted(lot);
        return reply.answer(
                new FormSent("w-", form.key() == null ? UUID.randomUUID() : form.key(), fields, page),
                () -> label(reply.model(), lot, form, null, fields),
                () -> {
                    words.put(lot, new LotWords.Own(title, own));
                    return new Done(page, "The label says it so.");
                });
    }

    /** Says that the household's rules allow a word on its labels, or takes that back. */
    @PostMapping("/cupboard/goods/{lot}/words")
    String allow(@PathVariable UUID lot, @Nullable String stem, @Nullable String back, Reply reply) {
        goods.find(lot);
        String page = "/cupboard/goods/%s/label".formatted(lot);
        return reply.tap(page, () -> {
            String word = Objects.requireNonNullElse(stem, "");
            if (word.isBlank() || word.length() > 40) {
                throw new Refused("It is not said which word.");
            }
            claims.allow(word, back == null);
            return back == null
                    ? new Done(
                            page,
                            "Your rules allow “%s”: it is no longer marked.".formatted(word),
                            "/cupboard/goods/%s/words?back=yes&stem=%s".formatted(lot, word))
                    : new Done(page, "“%s” is marked again.".formatted(word));
        });
    }
}
