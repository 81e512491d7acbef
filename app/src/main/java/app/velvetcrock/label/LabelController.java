package app.velvetcrock.label;

import app.velvetcrock.web.NotHere;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.util.UriUtils;

/** Labels: what is to be printed, seen as it will be, and as a PDF. The address holds all of it; nothing is written. */
@Controller
class LabelController {

    private static final String PLACE = "/labels";

    private final Printing printing;

    LabelController(Printing printing) {
        this.printing = printing;
    }

    @GetMapping(PLACE)
    String labels(Queue queue, Model model) {
        Printing.Job job = printing.job(queue);
        model.addAttribute("queue", queue);
        model.addAttribute("paper", job.paper());
        model.addAttribute("papers", LabelsPage.papers());
        model.addAttribute(
                "of", job.things().stream().map(thing -> thing.wanted().said()).toList());
        model.addAttribute(
                "rows",
                job.things().stream().map(thing -> LabelsPage.row(thing)).toList());
        model.addAttribute("cells", LabelsPage.cells(job, address(PLACE, queue, false)));
        model.addAttribute("placed", LabelsPage.firstSheet(job));
        model.addAttribute("count", job.placed().size());
        model.addAttribute(
                "printWords",
                "Print %d on %s"
                        .formatted(job.placed().size(), job.sheets() == 1 ? "one sheet" : job.sheets() + " sheets"));
        model.addAttribute("begin", job.begin() + 1);
        model.addAttribute("print", address(PLACE + "/sheet.pdf", queue, true));
        return "label/labels";
    }

    @GetMapping(PLACE + "/sheet.pdf")
    void print(Queue queue, HttpServletResponse response) throws IOException {
        Printing.Job job = printing.job(queue);
        if (job.placed().isEmpty()) {
            throw new NotHere("anything to print");
        }
        String title =
                job.things().stream().map(Printing.Thing::title).distinct().collect(Collectors.joining(", "));
        response.setContentType(MediaType.APPLICATION_PDF_VALUE);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.inline().filename("labels.pdf").build().toString());
        PdfSheets.write(job, "Labels: " + title, response.getOutputStream());
    }

    /** The address of a queue; where it begins is left out for the cells, which say it. */
    private static String address(String place, Queue queue, boolean withFrom) {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("paper", Queue.text(queue.paper()));
        said.put("from", withFrom ? Queue.text(queue.from()) : "");
        said.put("right", Queue.text(queue.right()));
        said.put("down", Queue.text(queue.down()));
        said.put("title", Queue.text(queue.title()));
        said.put("words", Queue.text(queue.words()));
        said.put("sale", Queue.text(queue.sale()));
        String of = queue.wanted().stream().map(one -> "of=" + one.said()).collect(Collectors.joining("&"));
        return said.entrySet().stream()
                .filter(one -> !one.getValue().isEmpty())
                .map(one -> "&%s=%s".formatted(one.getKey(), UriUtils.encode(one.getValue(), StandardCharsets.UTF_8)))
                .collect(Collectors.joining("", place + "?" + (of.isEmpty() ? "of=" : of), ""));
    }
}
