package app.velvetcrock.bench;

import app.velvetcrock.batch.Starting;
import app.velvetcrock.core.bench.ChargePlanner;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.bench.WantedMaking;
import app.velvetcrock.core.bench.WantedOil;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.OfWay;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.errands.Errands;
import app.velvetcrock.melt.Wished;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.ways.OwnWays;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.view.FragmentsRendering;

/** Bench: plan a batch and start it. */
@Controller
class BenchController {

    private static final int LONGEST_NAME = 60;

    private final Bench bench;
    private final OwnWays ways;
    private final Starting starting;
    private final Awaited awaited;
    private final Errands errands;
    private final BenchPages pages;
    private final Households households;
    private final Wished wished;
    private final Clock clock;

    BenchController(
            Bench bench,
            OwnWays ways,
            Starting starting,
            Awaited awaited,
            Errands errands,
            BenchPages pages,
            Households households,
            Wished wished,
            Clock clock) {
        this.bench = bench;
        this.wished = wished;
        this.ways = ways;
        this.starting = starting;
        this.awaited = awaited;
        this.errands = errands;
        this.pages = pages;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/bench")
    String bench(BenchForm form, Model model) {
        return pages.show(model, bench.work(form));
    }

    /** The same, worked out again while the sentence is being changed: only the part that changed, and the words beside blanks. */
    @HxRequest
    @GetMapping("/bench/plan")
    FragmentsRendering plan(BenchForm form, Model model, HttpServletResponse response) {
        BenchWork work = bench.charge(form);
        keepAddress(work, response);
        pages.show(model, work);
        return FragmentsRendering.fragment("bench/bench :: worked")
                .fragment("bench/bench :: besides")
                .build();
    }

    /** The days alone, worked out again while the sentence is being changed. */
    @HxRequest
    @GetMapping("/bench/time")
    String time(BenchForm form, Model model) {
        pages.show(model, bench.work(form));
        return "bench/time :: time";
    }

    @GetMapping("/bench/time")
    String timeWithoutScript(BenchForm form, Model model) {
        return bench(form, model);
    }

    @GetMapping("/bench/plan")
    String planWithoutScript(BenchForm form, Model model) {
        return bench(form, model);
    }

    @PostMapping("/bench/start")
    String start(BenchForm form, Reply reply) {
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        BenchWork work = bench.work(form);
        // Another way than the one that was looked at is never begun.
        work.movedOn().ifPresent(words -> work.fields().trouble("method", words + ".", "look at it, then start it"));
        if (work.fields().isClear() && !work.canStart()) {
            work.fields()
                    .trouble("", "This plan cannot be started as it stands; what stands against it is said below.", "");
        }
        return reply.answer(
                new FormSent("", key, work.fields(), "/shelf"), () -> pages.show(reply.model(), work), () -> {
                    Planned planned = work.planned().orElseThrow();
                    // Worked out before anything is taken for the charge: afterwards it is not there any more.
                    Optional<Awaited.Wish> waits = work.form().wish().flatMap(wished::awaited);
                    List<Doing<Deed.Start>> parts = planned.parts().stream()
                            .map(part -> Current.doing(
                                    part.start(), key, part.weighed().at(), ""))
                            .toList();
                    List<UUID> started = starting.startAll(parts);
                    planned.wanted().flatMap(WantedOil::making).ifPresent(making -> {
                        List<Integer> shares = making.shares(planned.parts());
                        for (int i = 0; i < started.size(); i++) {
                            awaited.expect(
                                    started.get(i),
                                    new Awaited.Wish(
                                            making.kind().key(),
                                            new Awaited.Much.Pieces(
                                                    shares.get(i), making.tin().id()),
                                            making.firmness()));
                        }
                    });
                    waits.ifPresent(wish -> awaited.expect(started, wish));
                    UUID first = started.get(0);
                    return planned.isSplit()
                            ? new Done("/shelf", "All of them stand on the Shelf. Label each jar now.")
                            : new Done(
                                    "/batch/" + first,
                                    "It stands on the Shelf. Label the jar now."
                                            + planned.wanted()
                                                    .flatMap(WantedOil::making)
                                                    .map(making -> " %s waits in the Pan for its oil."
                                                            .formatted(making.words()))
                                                    .orElse(""));
                });
    }

    /** Puts what is planned and not here on the list to buy by. */
    @PostMapping("/bench/to-buy")
    String toBuy(BenchForm form, Reply reply) {
        BenchWork work = bench.work(form);
        List<String> lines = work.planned()
                .map(planned -> WantedMaking.toBuy(
                        planned, work.shelves(), households.current().wording()))
                .orElse(List.of());
        return reply.tap("/bench", () -> {
            if (lines.isEmpty()) {
                throw new Refused("All that is planned here is in the Stores; nothing is to be bought.");
            }
            List<UUID> on = errands.add(lines, purpose(work));
            return new Done(
                    address(work.form(), work.way()),
                    "On the list to buy: %s.".formatted(String.join("; ", lines)),
                    Errands.takenBack(on));
        });
    }

    private static String purpose(BenchWork work) {
        Planned planned = work.planned().orElseThrow();
        String by = work.form().time() == null
                        || BenchForm.isBlank(work.form().time().by())
                ? ""
                : " by " + work.form().time().by();
        return planned.wanted()
                        .flatMap(WantedOil::making)
                        .map(WantedMaking::words)
                        .orElse(planned.plan().request().herbNames() + " oil")
                + by;
    }

    /** Keeps the way as it is planned under a name, and plans on with it. */
    @PostMapping("/bench/ways")
    String keep(BenchForm form, Reply reply) {
        BenchWork work = bench.work(form);
        Fields fields = new Fields(households.current().reader());
        Optional<String> name = fields.words("called", form.called(), LONGEST_NAME);
        if (work.planned().isEmpty()) {
            fields.trouble("", "The plan is not clear yet; nothing was kept.", "");
        }
        fields.troubles().forEach((field, trouble) -> work.fields().trouble(field, trouble.wrong(), trouble.instead()));
        UUID once = form.key() == null
                ? UUID.randomUUID()
                : UUID.nameUUIDFromBytes((form.key() + String.valueOf(form.called())).getBytes(StandardCharsets.UTF_8));
        return reply.answer(new FormSent("", once, fields, "/bench"), () -> pages.show(reply.model(), work), () -> {
            PlanRequest.Circumstances how =
                    work.planned().orElseThrow().plan().request().circumstances();
            OfWay way = ways.keep(name.orElseThrow(), how.method(), how.lengths());
            return new Done(kept(work, way), "“%s” is one of your ways now.".formatted(name.orElseThrow()));
        });
    }

    @PostMapping("/bench/ways/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap("/bench", () -> {
            ways.remove(id, removed);
            return removed
                    ? new Done(
                            "/bench",
                            "That way is put away; batches made by it keep it.",
                            "/bench/ways/%s/undo?back=yes".formatted(id))
                    : new Done("/bench", "It is one of your ways again.");
        });
    }

    /** The sentence as it stands, by the way just kept; its numbers and times are the way's own now. */
    private String kept(BenchWork work, OfWay way) {
        return address(work.form().by(way.method().key()).asItsWay(), way.method());
    }

    private String address(BenchForm form, Method way) {
        House house = households.current();
        Instant now = clock.instant();
        String today = Wording.written(house.dayOf(now));
        String amount = house.mass(ChargePlanner.USUAL);
        return BenchAddress.of(
                form.withDefaults(way, amount, today).dated(house.past(now), house.future(now)),
                BenchAddress.usual(way, amount, today));
    }

    /** A page that is recomputed in parts keeps its address, so that reload, back and a bookmark find the sentence as it stands. */
    private void keepAddress(BenchWork work, HttpServletResponse response) {
        response.setHeader("HX-Replace-Url", address(work.form(), work.way()));
    }
}
