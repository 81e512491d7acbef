package app.velvetcrock.label;

import app.velvetcrock.core.label.Decor;
import app.velvetcrock.core.label.Mark;
import app.velvetcrock.core.label.NetWeight;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.OwnPapers;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** How labels look, on which papers, and where the printer puts them. */
@Controller
class LookController {

    private static final String PAGE = "/labels/look";
    private static final double MOST = LabelLook.FURTHEST;
    private static final int MOST_LINE = 120;
    private static final int MOST_WHERE = 160;

    private final LabelLooks looks;
    private final OwnPapers papers;
    private final Households households;

    LookController(LabelLooks looks, OwnPapers papers, Households households) {
        this.looks = looks;
        this.papers = papers;
        this.households = households;
    }

    /** All that is typed on the page, whichever of its forms it is of. */
    record LookForm(
            @Nullable UUID key,
            @Nullable String frame,
            @Nullable String mark,
            @Nullable String line,
            @Nullable String where,
            @Nullable String region,
            @Nullable String smallest,
            @Nullable String right,
            @Nullable String down,
            @Nullable String picture,
            @Nullable String sheetWidth,
            @Nullable String sheetHeight,
            @Nullable String width,
            @Nullable String height,
            @Nullable String across,
            @Nullable String below,
            @Nullable String left,
            @Nullable String top,
            @Nullable String gapX,
            @Nullable String gapY,
            @Nullable String round) {}

    private LookForm form(LabelLook look) {
        return new LookForm(
                null,
                look.frame().name(),
                look.mark().map(Enum::name).orElse(""),
                look.line(),
                look.where(),
                look.region().name(),
                look.smallestForSale().map(one -> Decimals.upTo(one, 2)).orElse(""),
                Decimals.upTo(look.right(), 1),
                Decimals.upTo(look.down(), 1),
                "",
                "210",
                "297",
                "70",
                "36",
                "3",
                "8",
                "0",
                "4.5",
                "0",
                "0",
                null);
    }

    @GetMapping(PAGE)
    String look(Model model) {
        return show(model, Sent.nothing(fields(), form(looks.look())));
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private String show(Model model, Sent<LookForm> sent) {
        LabelLook look = looks.look();
        model.addAttribute("sent", sent);
        model.addAttribute("frames", Decor.Frame.values());
        model.addAttribute("marks", Mark.values());
        model.addAttribute("regions", NetWeight.Region.values());
        model.addAttribute("hasPicture", look.picture().isPresent());
        model.addAttribute("own", papers.own());
        return "label/look";
    }

    @PostMapping(PAGE)
    String keep(LookForm form, Reply reply) {
        Fields fields = fields();
        LabelLook before = looks.look();
        Optional<Decor.Frame> frame = fields.oneOf("frame", Decor.Frame.class, form.frame());
        Optional<Mark> mark = LabelController.one(form.mark()).isEmpty()
                ? Optional.empty()
                : fields.oneOf("mark", Mark.class, form.mark());
        Optional<String> line = fields.optionalWords("line", form.line(), MOST_LINE);
        Optional<String> where = fields.optionalWords("where", form.where(), MOST_WHERE);
        Optional<NetWeight.Region> region = fields.oneOf("region", NetWeight.Region.class, form.region());
        Optional<Double> smallest = LabelController.one(form.smallest()).isEmpty()
                ? Optional.empty()
                : fields.number("smallest", form.smallest(), 0.5, 5, "mm");
        Optional<Double> right = offset(fields, "right", form.right());
        Optional<Double> down = offset(fields, "down", form.down());
        return reply.answer(
                new FormSent("k-", key(form), fields, PAGE),
                () -> show(reply.model(), new Sent<>("look", fields, form, form(before))),
                () -> {
                    looks.keep(new LabelLook(
                            frame.orElseThrow(),
                            mark,
                            before.picture(),
                            line.orElse(""),
                            where.orElse(""),
                            region.orElseThrow(),
                            smallest,
                            right.orElse(0.0),
                            down.orElse(0.0),
                            before.paper()));
                    return new Done(PAGE, "Kept: labels are drawn so from now on.");
                });
    }

    private static Optional<Double> offset(Fields fields, String field, @Nullable String typed) {
        return LabelController.one(typed).isEmpty() ? Optional.empty() : fields.number(field, typed, -MOST, MOST, "mm");
    }

    private static UUID key(LookForm form) {
        return form.key() == null ? UUID.randomUUID() : form.key();
    }

    /** Puts its own picture in the mark's place, or takes it away where none is sent. */
    @PostMapping(PAGE + "/picture")
    String picture(LookForm form, Reply reply) {
        Fields fields = fields();
        return reply.answer(
                new FormSent("p-", key(form), fields, PAGE),
                () -> show(reply.model(), new Sent<>("picture", fields, form, form(looks.look()))),
                () -> {
                    looks.show(Optional.of(OwnPicture.read(Queue.text(form.picture()))));
                    return new Done(PAGE, "Your picture stands on labels now, in the mark's place.");
                });
    }

    @PostMapping(PAGE + "/picture/drop")
    String noPicture(Reply reply) {
        return reply.tap(PAGE, () -> {
            looks.show(Optional.empty());
            return new Done(PAGE, "Your picture is taken off.");
        });
    }

    @GetMapping("/labels/picture.png")
    void shown(HttpServletResponse response) throws IOException {
        byte[] png = looks.picture().orElseThrow(() -> new NotHere("a picture"));
        response.setContentType(MediaType.IMAGE_PNG_VALUE);
        response.getOutputStream().write(png);
    }

    /** Rulers along the edges of a sheet: what stands at the paper's edge is what the printer is off by. */
    @GetMapping("/labels/ruler.pdf")
    void ruler(@Nullable String paper, HttpServletResponse response) throws IOException {
        Paper.Size size = papers.all().stream()
                .filter(one -> one.key().equals(Queue.text(paper)))
                .findFirst()
                .orElse(Paper.COMMON.get(0))
                .sheet();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfSheets.ruler(
                size,
                List.of(
                        "Print this at 100 %, without fitting it to the page.",
                        "Lay a real ruler along the rulers: 100 mm here are 100 mm there.",
                        "Measure from the paper's left edge to this page's line of 50 mm:",
                        "what is missing to 50 is “further right”; from the upper edge likewise “further down”."),
                out);
        response.setContentType(MediaType.APPLICATION_PDF_VALUE);
        response.getOutputStream().write(out.toByteArray());
    }

    @PostMapping(PAGE + "/papers")
    String paper(LookForm form, Reply reply) {
        Fields fields = fields();
        Optional<Double> sheetWidth =
                fields.number("sheetWidth", form.sheetWidth(), 2 * Paper.LEAST, Paper.WIDEST, "mm");
        Optional<Double> sheetHeight =
                fields.number("sheetHeight", form.sheetHeight(), Paper.LEAST, Paper.LONGEST, "mm");
        Optional<Double> width = fields.number("width", form.width(), Paper.LEAST, Paper.WIDEST, "mm");
        Optional<Double> height = fields.number("height", form.height(), Paper.LEAST, Paper.LONGEST, "mm");
        Optional<Integer> across = fields.whole("across", form.across(), 1, 40, "labels");
        Optional<Integer> below = fields.whole("below", form.below(), 1, 60, "labels");
        Optional<Double> left = fields.number("left", form.left(), 0, Paper.WIDEST, "mm");
        Optional<Double> top = fields.number("top", form.top(), 0, Paper.LONGEST, "mm");
        Optional<Double> gapX = fields.number("gapX", form.gapX(), 0, Paper.WIDEST, "mm");
        Optional<Double> gapY = fields.number("gapY", form.gapY(), 0, Paper.LONGEST, "mm");
        Optional<Paper> paper = fields.isClear()
                ? Optional.of(new Paper(
                        "own",
                        new Paper.Size(sheetWidth.orElseThrow(), sheetHeight.orElseThrow()),
                        new Paper.Size(width.orElseThrow(), height.orElseThrow()),
                        across.orElseThrow(),
                        below.orElseThrow(),
                        left.orElseThrow(),
                        top.orElseThrow(),
                        gapX.orElseThrow(),
                        gapY.orElseThrow(),
                        form.round() != null))
                : Optional.empty();
        paper.flatMap(Paper::fault).ifPresent(fault -> told(fields, fault, paper.orElseThrow()));
        return reply.answer(
                new FormSent("o-", key(form), fields, PAGE),
                () -> show(reply.model(), new Sent<>("papers", fields, form, form(looks.look()))),
                () -> {
                    String id = papers.add(paper.orElseThrow());
                    return new Done(
                            PAGE,
                            "Kept: %s.".formatted(paper.orElseThrow().words()),
                            "/labels/papers/%s/drop".formatted(id));
                });
    }

    private static void told(Fields fields, Paper.Fault fault, Paper paper) {
        switch (fault) {
            case SHEET -> fields.trouble(
                    "sheetWidth", "No printer here takes a sheet of that size.", "the sheet's size in mm");
            case LABEL -> fields.trouble("width", "That is too small for a label.", "at least 8 mm");
            case COUNT -> fields.trouble("across", "That are too many labels for a sheet.", "at most 400 in all");
            case EDGE -> fields.trouble("left", "A label cannot begin outside its sheet.", "0 or more");
            case OVER -> fields.trouble(
                    "across",
                    "They hang over the sheet: %s mm by %s are needed, it has %s by %s."
                            .formatted(
                                    mm(paper.x(paper.across() - 1)
                                            + paper.label().width()),
                                    mm(paper.y(paper.on() - 1) + paper.label().height()),
                                    mm(paper.sheet().width()),
                                    mm(paper.sheet().height())),
                    "fewer, smaller, or nearer to each other");
        }
    }

    private static String mm(double value) {
        return Decimals.upTo(value, 1);
    }

    @PostMapping("/labels/papers/{paper}/drop")
    String drop(@PathVariable UUID paper, @Nullable String back, Reply reply) {
        return reply.tap(PAGE, () -> {
            papers.drop(paper, back == null);
            return back == null
                    ? new Done(PAGE, "That paper is taken away.", "/labels/papers/%s/drop?back=yes".formatted(paper))
                    : new Done(PAGE, "That paper is back.");
        });
    }
}
