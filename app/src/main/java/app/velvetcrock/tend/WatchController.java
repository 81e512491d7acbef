package app.velvetcrock.tend;

import app.velvetcrock.batch.Batches;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The watch of a batch on heat, for a phone that leans on the kettle. */
@Controller
class WatchController {

    private final Batches batches;
    private final WatchPage page;

    WatchController(Batches batches, WatchPage page) {
        this.batches = batches;
        this.page = page;
    }

    @GetMapping("/batch/{id}/watch")
    String watch(@PathVariable UUID id, Model model) {
        return page.show(model, batches.sheet(id));
    }
}
