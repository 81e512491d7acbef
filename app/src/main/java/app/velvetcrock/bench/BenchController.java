package app.velvetcrock.bench;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.method.Disagreement;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Costs;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Bench: plan a batch and start it. */
@Controller
class BenchController {

    private final List<Disagreement> schools = Disagreement.shipped();
    private final Bench bench;
    private final Batches batches;
    private final Costs costs;
    private final Households households;
    private final OneTime oneTime;

    BenchController(Bench bench, Batches batches, Costs costs, Households households, OneTime oneTime) {
        this.bench = bench;
        this.batches = batches;
        this.costs = costs;
        this.households = households;
        this.oneTime = oneTime;
    }

    @GetMapping("/bench")
    String bench(BenchForm form, Model model) {
        return page(model, bench.work(form));
    }

    /** The same, worked out again while the sentence is being changed: only the part that changed. */
    @HxRequest
    @GetMapping("/bench/plan")
    String plan(BenchForm form, Model model) {
        page(model, bench.work(form));
        return "bench/bench :: worked";
    }

    @GetMapping("/bench/plan")
    String planWithoutScript(BenchForm form, Model model) {
        return bench(form, model);
    }

    @PostMapping("/bench/start")
    String start(BenchForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        BenchWork work = bench.work(form);
        boolean again = oneTime.wasDone(Current.stillroom(), key);
        if (!work.canStart() && !again) {
            response.setStatus(422);
            return page(model, work);
        }
        String leadsTo = oneTime.once(Current.stillroom(), key, () -> {
            BenchWork.Planned planned = work.planned().orElseThrow();
            return "/batch/" + batches.start(planned.frozen(), planned.jar().id(), planned.weighed(), key);
        });
        after.addFlashAttribute(Notice.NAME, new Notice("It stands on the Shelf. Label the jar now.", null));
        return "redirect:" + leadsTo;
    }

    private String page(Model model, BenchWork work) {
        model.addAttribute("work", work);
        model.addAttribute("cost", work.planned().flatMap(this::cost).orElse(null));
        model.addAttribute("fields", work.fields());
        model.addAttribute("schools", schools);
        model.addAttribute("cuts", Cut.values());
        model.addAttribute("uses", Use.values());
        model.addAttribute("pressings", Pressing.values());
        model.addAttribute("storages", Storage.values());
        model.addAttribute("remedies", remedies(work));
        model.addAttribute("marks", Marks.of(households.current()));
        return "bench/bench";
    }

    /** What the planned herb and oil cost, where their lots have a price. */
    private Optional<Costs.Cost> cost(BenchWork.Planned planned) {
        return costs.of(List.of(new Costs.Taken(planned.herb().id(), planned.weighed().herb().toMilligrams()),
                new Costs.Taken(planned.carrier().id(), planned.carrier().density().massOf(planned.weighed().oil()).toMilligrams())));
    }

    /** A remedy in words, with the field it changes and what is to stand there. */
    record RemedyChip(String words, String field, String value) {}

    private List<RemedyChip> remedies(BenchWork work) {
        House house = households.current();
        return work.planned().stream().flatMap(p -> p.plan().remedies().stream()).map(remedy -> chip(remedy, work, house)).toList();
    }

    private static RemedyChip chip(Remedy remedy, BenchWork work, House house) {
        if (remedy instanceof Remedy.MoreOil more) {
            return new RemedyChip("pour %s, which makes it %s".formatted(house.volume(more.oil()), house.ratio(more.ratio())),
                    "oil", Math.round(more.oil().millilitres()) + " mL");
        } else if (remedy instanceof Remedy.FinerCut finer) {
            return new RemedyChip("take it %s".formatted(finer.cut().word()), "cut", finer.cut().name());
        } else if (remedy instanceof Remedy.LessHerb less) {
            return new RemedyChip("take only %s of herb".formatted(house.mass(less.herb())), "amount", less.herb().grams() + " g");
        }
        Remedy.OtherJar other = (Remedy.OtherJar) remedy;
        String jar = work.shelves().jars().stream().filter(j -> j.vessel().equals(other.vessel())).findFirst().orElseThrow().id().toString();
        return new RemedyChip("use the %s".formatted(other.vessel().name()), "jar", jar);
    }
}
