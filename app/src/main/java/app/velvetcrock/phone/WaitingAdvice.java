package app.velvetcrock.phone;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells each page whose it is, so that what waits on a device is shown to the one who tapped it, and sent as theirs alone. */
@ControllerAdvice(annotations = Controller.class)
class WaitingAdvice {

    @ModelAttribute("who")
    String who() {
        return WhosePage.who();
    }

    /** Which forms may wait, and which of these may not. */
    @ModelAttribute("mayWait")
    String mayWait() {
        return Waited.FORMS;
    }

    @ModelAttribute("mayNotWait")
    String mayNotWait() {
        return Waited.elsewhere();
    }
}
