package app.velvetcrock.label;

import app.velvetcrock.core.label.Paper;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.Printed;
import app.velvetcrock.labelled.Printings;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** What was printed at once: its sheets as PDF, and for the browser's own printing; as often as they are asked for. */
@Controller
class JobController {

    /** [E] So many are drawn in less than a second; more are waited for with their number told. */
    private static final int SOON = 150;

    private final Printing printing;
    private final Printings printings;
    private final LabelLooks looks;
    private final PressRoom press;
    private final Households households;

    JobController(Printing printing, Printings printings, LabelLooks looks, PressRoom press, Households households) {
        this.printing = printing;
        this.printings = printings;
        this.looks = looks;
        this.press = press;
        this.households = households;
    }

    /** One paper of it. */
    record Sheets(int at, String words, int labels, String fetch, String print, String progress) {}

    /** One thing of it. */
    record Line(String words, String code) {}

    @GetMapping("/labels/jobs/{job}")
    String job(@PathVariable UUID job, Model model) {
        List<Printed> printed = printings.job(job);
        List<Printing.Stack> stacks = printing.printed(printed, looks.look());
        model.addAttribute("job", job);
        model.addAttribute("gone", printed.get(0).gone());
        model.addAttribute("when", households.current().moment(printed.get(0).at()));
        model.addAttribute(
                "lines",
                printed.stream()
                        .map(one -> new Line(
                                "%d × %s".formatted(one.copies(), one.truth().name()), one.code()))
                        .toList());
        model.addAttribute(
                "sheets",
                IntStream.range(0, stacks.size())
                        .mapToObj(at -> sheets(job, at, stacks.get(at)))
                        .toList());
        return "label/job";
    }

    private static Sheets sheets(UUID job, int at, Printing.Stack stack) {
        String place = "/labels/jobs/%s/%d".formatted(job, at);
        int labels = stack.placed().size();
        return new Sheets(
                at,
                "%d on %s: %s"
                        .formatted(
                                labels,
                                stack.sheets() == 1 ? "one sheet" : stack.sheets() + " sheets",
                                stack.paper().words()),
                labels,
                place + "/sheets.pdf",
                place + "/paper",
                labels > SOON ? place + "/progress" : "");
    }

    private Printing.Stack stack(List<Printed> printed, int at, LabelLook look) {
        List<Printing.Stack> stacks = printing.printed(printed, look);
        if (at >= stacks.size()) {
            throw new NotHere("that sheet");
        }
        return stacks.get(at);
    }

    private static int place(String at) {
        try {
            return Integer.parseUnsignedInt(at);
        } catch (NumberFormatException none) {
            throw new NotHere("that sheet");
        }
    }

    @GetMapping("/labels/jobs/{job}/{at}/sheets.pdf")
    void sheets(@PathVariable UUID job, @PathVariable String at, HttpServletResponse response) throws IOException {
        byte[] pdf = drawn(job, place(at));
        response.setContentType(MediaType.APPLICATION_PDF_VALUE);
        response.setContentLength(pdf.length);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.inline().filename("labels.pdf").build().toString());
        response.getOutputStream().write(pdf);
    }

    private byte[] drawn(UUID job, int at) {
        List<Printed> printed = printings.job(job);
        return press.sheets(
                new PressRoom.Key(job, at), stack(printed, at, looks.look()), title(printed), looks.picture());
    }

    private static String title(List<Printed> printed) {
        return "Labels: "
                + printed.stream().map(one -> one.truth().name()).distinct().collect(Collectors.joining(", "));
    }

    /** How many of it are drawn; whoever asks first has them drawn. */
    @GetMapping("/labels/jobs/{job}/{at}/progress")
    String progress(@PathVariable UUID job, @PathVariable String at, Model model) {
        List<Printed> printed = printings.job(job);
        Printing.Stack stack = stack(printed, place(at), looks.look());
        PressRoom.Key key = new PressRoom.Key(job, place(at));
        String title =
                printed.stream().map(one -> one.truth().name()).distinct().collect(Collectors.joining(", "));
        press.begin(key, stack, title(printed), looks.picture());
        model.addAttribute("s", sheets(job, place(at), stack));
        model.addAttribute("done", press.isDone(key));
        model.addAttribute("drawn", press.drawn(key).orElse(0));
        return "label/job :: progress";
    }

    /** For the browser's own printing: every sheet at its size. */
    @GetMapping("/labels/jobs/{job}/{at}/paper")
    String paper(@PathVariable UUID job, @PathVariable String at, Model model) {
        Printing.Stack stack = stack(printings.job(job), place(at), looks.look());
        List<List<LabelsPage.Placed>> sheets = new ArrayList<>();
        for (int sheet = 0; sheet < stack.sheets(); sheet++) {
            sheets.add(LabelsPage.on(stack, sheet));
        }
        model.addAttribute("job", job);
        model.addAttribute("at", at);
        model.addAttribute("paper", stack.paper());
        model.addAttribute("sheets", sheets);
        return "label/paper";
    }

    /** The style sheet of its paper: a page cannot say its own size within itself here. */
    @GetMapping(value = "/labels/jobs/{job}/{at}/paper.css", produces = "text/css")
    @ResponseBody
    String style(@PathVariable UUID job, @PathVariable String at) {
        Paper.Size size =
                stack(printings.job(job), place(at), looks.look()).paper().sheet();
        return String.format(
                Locale.ROOT,
                "@page { size: %1$.2fmm %2$.2fmm; margin: 0 }%nsvg.whole { width: %1$.2fmm; height: %2$.2fmm }%n",
                size.width(),
                size.height());
    }

    /** It was not printed after all; or it was. */
    @PostMapping("/labels/jobs/{job}/undo")
    String undo(@PathVariable UUID job, @Nullable String back, @Nullable String to, Reply reply) {
        String page = "labels".equals(to) ? LabelController.PLACE : "/labels/jobs/" + job;
        return reply.tap(page, () -> {
            printings.takeBack(job, back == null);
            return back == null
                    ? new Done(
                            page,
                            "Taken back: it counts as not printed.",
                            "/labels/jobs/%s/undo?back=yes%s".formatted(job, "labels".equals(to) ? "&to=labels" : ""))
                    : new Done(page, "It counts as printed again.");
        });
    }
}
