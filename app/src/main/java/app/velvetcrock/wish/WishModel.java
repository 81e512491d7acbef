package app.velvetcrock.wish;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.web.Fields;
import org.springframework.ui.Model;

/** What every page of the sentence shows, signed in or not. */
public final class WishModel {

    private WishModel() {}

    public static void fill(Model model, WishForm form, Fields fields, String place) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("at", place);
        model.addAttribute("states", Moisture.values());
        model.addAttribute("cuts", Cut.values());
        model.addAttribute("uses", Use.values());
    }
}
