package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import app.velvetcrock.stillroom.Current;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.stream.Stream;
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
    Bar alarms(HttpServletRequest request) {
        return new Bar(conditions, request.getRequestURI());
    }

    /** The open conditions but for those that the page itself is about, read once. */
    static final class Bar {

        private final Conditions conditions;
        private final String here;
        private @Nullable List<Told> open;

        private Bar(Conditions conditions, String here) {
            this.conditions = conditions;
            this.here = here;
        }

        private boolean isAbout(Told told) {
            return Stream.of(told.subject().batch(), told.subject().lot())
                            .anyMatch(id -> id != null && here.contains(id.toString()))
                    || told.reach().isNamedIn(here);
        }

        /** What can be said to be wrong by somebody who looked. */
        public List<Condition> kinds() {
            return Condition.seen();
        }

        public List<Told> open() {
            if (open == null) {
                open = Current.signedIn().isPresent()
                        ? conditions.open().stream()
                                .filter(told -> !isAbout(told))
                                .toList()
                        : List.of();
            }
            return open;
        }
    }
}
