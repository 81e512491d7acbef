package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.door.OwnAddress;
import app.velvetcrock.learned.Gatherings;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The calendar: an address a calendar program may follow, and a file for one batch. */
@Controller
class CalendarController {

    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final CalendarFeeds feeds;
    private final TasksAhead ahead;
    private final PanTasks pan;
    private final Gatherings gatherings;
    private final Batches batches;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;
    private final OwnAddress own;

    CalendarController(
            CalendarFeeds feeds,
            TasksAhead ahead,
            PanTasks pan,
            Gatherings gatherings,
            Batches batches,
            Conditions conditions,
            Households households,
            Clock clock,
            OwnAddress own) {
        this.gatherings = gatherings;
        this.own = own;
        this.feeds = feeds;
        this.ahead = ahead;
        this.pan = pan;
        this.batches = batches;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Followed without a sign-in: the secret is the key, and nothing but the rounds can be read with it. */
    @GetMapping("/feed/{secret}")
    ResponseEntity<String> feed(@PathVariable String secret) {
        SignedIn owner = feeds.opens(secret).orElseThrow(() -> new NotHere("that calendar"));
        String text = Current.as(owner, () -> file(feeds.alarm())
                .write(
                        ahead.all(),
                        conditions.open(),
                        conditions.asked(),
                        pan.events(),
                        gatherings.open(households.current().dayOf(clock.instant()))));
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header("Cache-Control", "private, max-age=300")
                .body(text);
    }

    @GetMapping("/batch/{id}/calendar")
    ResponseEntity<String> batch(@PathVariable UUID id) {
        BatchSheet sheet = batches.sheet(id);
        String text = file(feeds.alarm())
                .write(
                        ahead.of(List.of(sheet)),
                        sheet.conditions().stream()
                                .map(told -> told.atBatch(id))
                                .toList());
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename("batch-%d.ics".formatted(sheet.number()))
                                .build()
                                .toString())
                .body(text);
    }

    private CalendarFile file(CalendarFeeds.Rings rings) {
        return new CalendarFile(households.current(), clock.instant(), own::of, rings.before());
    }

    /** How long before its time an event rings; an address that is there already follows. */
    @PostMapping("/settings/calendar/alarm")
    String alarm(@Nullable String rings, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<CalendarFeeds.Rings> which = fields.oneOf("rings", CalendarFeeds.Rings.class, rings);
        return reply.answer(new FormSent("", null, fields, "/settings/calendar"), () -> page(reply.model()), () -> {
            feeds.ring(which.orElseThrow());
            return new Done("/settings/calendar", "So it rings from now on.");
        });
    }

    @GetMapping("/settings/calendar")
    String page(Model model) {
        model.addAttribute("exists", feeds.exists());
        model.addAttribute("rings", feeds.alarm().name());
        model.addAttribute("allRings", CalendarFeeds.Rings.values());
        return "rounds/calendar";
    }

    @PostMapping("/settings/calendar")
    String renew(RedirectAttributes after, Reply reply) {
        return reply.tap("/settings/calendar", () -> {
            String secret = feeds.renew();
            after.addFlashAttribute("address", own.of("/feed/" + secret));
            return new Done("/settings/calendar", "The calendar has a new address; an earlier one leads nowhere now.");
        });
    }

    @PostMapping("/settings/calendar/revoke")
    String revoke(Reply reply) {
        return reply.tap("/settings/calendar", () -> {
            feeds.revoke();
            return new Done("/settings/calendar", "The calendar's address leads nowhere now.");
        });
    }
}
