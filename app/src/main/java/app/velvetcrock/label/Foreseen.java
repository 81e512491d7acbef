package app.velvetcrock.label;

import app.velvetcrock.condition.Findings;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.SourceCurves;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stock.kinship.Makers;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What any queue of labels asks of the household, whatever is in it: asked together, before the things themselves. */
@Component
class Foreseen {

    private final Trip trip;
    private final LabelLooks looks;
    private final People people;
    private final Persons persons;
    private final Makers makers;
    private final Hours hours;
    private final SourceCurves curves;

    Foreseen(
            Trip trip,
            LabelLooks looks,
            People people,
            Persons persons,
            Makers makers,
            Hours hours,
            SourceCurves curves) {
        this.trip = trip;
        this.looks = looks;
        this.people = people;
        this.persons = persons;
        this.makers = makers;
        this.hours = hours;
        this.curves = curves;
    }

    void ask() {
        List<Question<?>> questions = new ArrayList<>(Findings.questions());
        questions.addAll(List.of(
                looks.question(),
                people.names(),
                persons.whoReacts(),
                makers.question(),
                hours.question(),
                curves.question()));
        trip.ahead(questions);
    }
}
