package app.velvetcrock.jot;

import app.velvetcrock.arrivals.Lists;
import app.velvetcrock.core.book.NextStep;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply.Done;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes all of a line that is understood, whoever sends it: a page, or a device that waited for the network. */
@Component
class JotWriting {

    private final JotWork work;
    private final Lists lists;
    private final Households households;

    JotWriting(JotWork work, Lists lists, Households households) {
        this.work = work;
        this.lists = lists;
        this.households = households;
    }

    /**
     * A line as it was sent.
     *
     * @param key its own, from which those of its deeds follow
     * @param written when; what says no moment of its own was done then
     */
    record Sent(String typed, UUID key, Instant written, String leadsTo) {}

    /**
     * Must be called in the transaction that writes all of it or nothing.
     *
     * @throws Refused where something of it may not be done
     */
    Done write(Sent sent, Jotted read) {
        List<String> done = new ArrayList<>(
                work.arrive(read.arrived()).stream().map(one -> "did=" + one).toList());
        for (Jotted.Said said : read.said()) {
            for (JotWork.Step step : work.steps(said, sent.written())) {
                UUID own = UUID.nameUUIDFromBytes((sent.key() + "/" + done.size()).getBytes(StandardCharsets.UTF_8));
                done.add("did=" + does(step, own, sent.typed()));
            }
        }
        String words = JotPage.of(sent.typed(), read, households.current(), lists::words).said().stream()
                .map(one -> "%s: %s".formatted(one.thing(), one.facts()))
                .collect(Collectors.joining("; "));
        // What it may be, what else was used and what helps is on her page; one that is grave is not only said in
        // passing.
        String leadsTo = JotBack.whose(done)
                .map(person -> "/book/reactions?who=" + person)
                .orElse(sent.leadsTo());
        return new Done(
                leadsTo,
                (JotPage.isUrgent(read) ? NextStep.NOW + " " : "") + words + ".",
                "/jot/undo?back=" + URLEncoder.encode(sent.leadsTo(), StandardCharsets.UTF_8) + "&"
                        + String.join("&", done));
    }

    /** What hangs on a field of a form hangs on the line here. */
    private static String does(JotWork.Step step, UUID key, String typed) {
        try {
            return step.done(key, typed);
        } catch (Refused refused) {
            throw Optional.of(refused.field())
                    .filter(field -> !field.isEmpty())
                    .map(field -> new Refused("line", refused.reason(), refused.instead()))
                    .orElse(refused);
        }
    }
}
