package app.velvetcrock.demo;

import app.velvetcrock.label.Printing;
import app.velvetcrock.labelled.Labelling;
import java.util.List;
import org.springframework.stereotype.Component;

/** Labels what the demo household has; all but the newest few. */
@Component
class DemoLabels {

    private static final int UNLABELLED = 3;

    private final Labelling labelling;
    private final Printing printing;
    private final DemoLeaving leaving;

    DemoLabels(Labelling labelling, Printing printing, DemoLeaving leaving) {
        this.labelling = labelling;
        this.printing = printing;
        this.leaving = leaving;
    }

    /** And says what it has promised. */
    void stick() {
        leaving.promise();
        List<Labelling.Due> due = labelling.due();
        printing.print(due.subList(0, Math.max(0, due.size() - UNLABELLED)));
    }
}
