package app.velvetcrock.condition;

import app.velvetcrock.stillroom.Current;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Puts every open condition at the head of every page; read when the page asks for it. */
@ControllerAdvice(annotations = Controller.class)
class Alarms {

    private final Conditions conditions;

    Alarms(Conditions conditions) {
        this.conditions = conditions;
    }

    @ModelAttribute("alarms")
    Bar alarms() {
        return new Bar(conditions);
    }

    /** The open conditions, read once. */
    static final class Bar {

        private final Conditions conditions;
        private @Nullable List<Told> open;

        private Bar(Conditions conditions) {
            this.conditions = conditions;
        }

        public List<Told> open() {
            if (open == null) {
                open = Current.signedIn().isPresent() ? conditions.open() : List.of();
            }
            return open;
        }
    }
}
