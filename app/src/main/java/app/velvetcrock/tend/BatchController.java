package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import java.time.Clock;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Batch: one batch from start to end, and its charge label. */
@Controller
class BatchController {

    private final Batches batches;
    private final Makings makings;
    private final Deeds deeds;
    private final BatchPage page;
    private final Households households;
    private final Clock clock;

    BatchController(Batches batches, Makings makings, Deeds deeds, BatchPage page, Households households, Clock clock) {
        this.households = households;
        this.batches = batches;
        this.makings = makings;
        this.deeds = deeds;
        this.page = page;
        this.clock = clock;
    }

    /** The page of a batch; one line of its log may be asked for to be corrected. */
    @GetMapping("/batch/{id}")
    String sheet(@PathVariable UUID id, @RequestParam(required = false) @Nullable UUID correct, Model model) {
        model.addAttribute("correcting", correct);
        BatchSheet sheet;
        try {
            sheet = batches.sheet(id);
        } catch (NotHere notInfused) {
            if (makings.isMaking(id)) {
                return "redirect:/pan/" + id;
            }
            throw notInfused;
        }
        return page.show(model, sheet);
    }

    @GetMapping("/batch/{id}/label")
    String label(@PathVariable UUID id, Model model) {
        BatchSheet sheet = batches.sheet(id);
        model.addAttribute("batch", sheet);
        model.addAttribute("label", JarLabel.of(sheet, households.current()));
        return "tend/label";
    }

    @PostMapping("/batch/{id}/entries/{entry}/undo")
    String takeBack(@PathVariable UUID id, @PathVariable UUID entry, @Nullable String back, Reply reply) {
        String leadsTo = "shelf".equals(back) ? "/shelf" : "/batch/" + id + ("watch".equals(back) ? "/watch" : "");
        return reply.tap(leadsTo, () -> {
            deeds.done(id, Current.doing(new Deed.TakeBack(entry), UUID.randomUUID(), clock.instant(), ""));
            return new Done(leadsTo, "Taken back. The log keeps both lines.");
        });
    }
}
