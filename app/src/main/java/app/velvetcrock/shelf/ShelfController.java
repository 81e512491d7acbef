package app.velvetcrock.shelf;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.draw.JarDrawing;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Shelf: what stands here today, every batch as its own jar to one scale. */
@Controller
class ShelfController {

    private static final int FRONT_ROW = 8;
    private static final double BOARD_WIDTH = 1150;
    private static final double GAP = 36;
    private static final double WIDEST = 230;
    private static final double FRONT_HEIGHT = 320;
    private static final double FRONT_MOST_PIXELS_PER_MILLIMETRE = 2.4;
    private static final double BACK_SHARE = 0.45;

    private final Batches batches;

    ShelfController(Batches batches) {
        this.batches = batches;
    }

    /** A batch and its picture. */
    record OnShelf(BatchSheet batch, JarDrawing drawing) {

        /** The jar in words, for those who do not see it. */
        public String inWords() {
            return "%s, jar %d: %s".formatted(batch.name(), batch.number(), batch.tagWord());
        }
    }

    @GetMapping("/")
    String home() {
        return "redirect:/shelf";
    }

    @GetMapping("/shelf")
    String shelf(Model model) {
        List<BatchSheet> urgent = batches.standing().stream()
                .sorted(Comparator.comparing((BatchSheet sheet) -> sheet.course().strainOn()).thenComparing(BatchSheet::number))
                .toList();
        double width = Math.min(WIDEST, BOARD_WIDTH / Math.max(1, Math.min(urgent.size(), FRONT_ROW)) - GAP);
        double scale = urgent.stream()
                .mapToDouble(sheet -> JarDrawing.scaleToFit(vessel(sheet), width, FRONT_HEIGHT))
                .min().orElse(1);
        double front = Math.min(scale, FRONT_MOST_PIXELS_PER_MILLIMETRE);
        model.addAttribute("front", urgent.stream().limit(FRONT_ROW).map(sheet -> onShelf(sheet, front)).toList());
        model.addAttribute("back", urgent.stream().skip(FRONT_ROW).map(sheet -> onShelf(sheet, front * BACK_SHARE)).toList());
        model.addAttribute("due", urgent.stream().filter(sheet -> sheet.course().isDue()).count());
        model.addAttribute("next", urgent.stream().filter(sheet -> !sheet.course().isDue()).findFirst().orElse(null));
        return "shelf/shelf";
    }

    private static OnShelf onShelf(BatchSheet sheet, double scale) {
        double progress = Math.min(1, sheet.course().day() / (double) sheet.course().ofDays());
        JarDrawing.Look look = JarDrawing.Look.of(sheet.frozen().plan(), progress);
        return new OnShelf(sheet, JarDrawing.of(vessel(sheet), sheet.frozen().plan().found().levels(), look, scale));
    }

    private static Vessel vessel(BatchSheet sheet) {
        return sheet.frozen().plan().charge().vessel();
    }
}
