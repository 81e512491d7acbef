package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Comparator;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Press: strain and measure. */
@Controller
class PressController {

    private final Batches batches;
    private final Households households;
    private final OneTime oneTime;
    private final Clock clock;

    PressController(Batches batches, Households households, OneTime oneTime, Clock clock) {
        this.batches = batches;
        this.households = households;
        this.oneTime = oneTime;
        this.clock = clock;
    }

    @GetMapping("/press")
    String press(Model model) {
        model.addAttribute("batches", batches.standing().stream()
                .sorted(Comparator.comparing(sheet -> sheet.course().strainOn())).toList());
        return "press/press";
    }

    @GetMapping("/press/{id}")
    String strain(@PathVariable UUID id, Model model) {
        BatchSheet sheet = batches.sheet(id);
        if (sheet.strained().isPresent()) {
            return "redirect:/batch/" + id;
        }
        House house = households.current();
        String pressing = sheet.frozen().plan().request().circumstances().pressing().name();
        PressForm form = new PressForm(UUID.randomUUID(), "", "", pressing, house.dayOf(clock.instant()).toString(), "");
        return page(model, sheet, form, new Fields(house.reader()));
    }

    @PostMapping("/press/{id}")
    String strained(@PathVariable UUID id, PressForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        House house = households.current();
        BatchSheet sheet = batches.sheet(id);
        Fields fields = new Fields(house.reader());
        Optional<Batches.Strain> strain = form.read(fields, sheet, house, clock.instant());
        if (strain.isEmpty()) {
            response.setStatus(422);
            return page(model, sheet, form, fields);
        }
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        String leadsTo = oneTime.once(Current.stillroom(), key, () -> {
            batches.strain(id, strain.get(), key);
            return "/cupboard";
        });
        after.addFlashAttribute(Notice.NAME, new Notice(sheet.name() + " is in the Cupboard. Its log can take the straining back.", null));
        return "redirect:" + leadsTo;
    }

    private static String page(Model model, BatchSheet sheet, PressForm form, Fields fields) {
        model.addAttribute("batch", sheet);
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("pressings", Pressing.values());
        model.addAttribute("picture", LevelPicture.of(sheet));
        return "press/strain";
    }
}
