package app.velvetcrock.press;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What was learned before, and whether it was heeded this time. */
@Controller
class LessonController {

    private final Batches batches;

    LessonController(Batches batches) {
        this.batches = batches;
    }

    /** Whether it was, and the place it is said at. */
    record Said(@Nullable Boolean heeded, @Nullable Place at) {}

    enum Place {
        PRESS,
        PAN
    }

    @PostMapping("/lessons/{taughtBy}/{batch}")
    String heeded(@PathVariable UUID taughtBy, @PathVariable UUID batch, Said said, Reply reply) {
        String back = (said.at() == Place.PAN ? "/pan/" : "/press/") + batch;
        return reply.tap(back, () -> {
            if (said.heeded() == null) {
                throw new NotHere("that answer");
            }
            batches.heed(taughtBy, batch, said.heeded());
            return new Done(
                    back, said.heeded() ? "Written down: heeded this time." : "Written down: not heeded this time.");
        });
    }
}
