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
    private final DemoBook book;

    DemoLabels(Labelling labelling, Printing printing, DemoLeaving leaving, DemoBook book) {
        this.labelling = labelling;
        this.printing = printing;
        this.leaving = leaving;
        this.book = book;
    }

    /** And says what it has promised. */
    void stick() {
        leaving.promise();
        book.twins();
        book.reacted();
        List<Labelling.Due> due = labelling.due();
        printing.print(due.subList(0, Math.max(0, due.size() - UNLABELLED)));
    }
}
