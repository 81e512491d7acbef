package app.velvetcrock.demo;

import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Loads the Gannet Row stillroom once, when a demo is wanted. */
@Component
class DemoHousehold implements ApplicationRunner {

    private final People people;
    private final Jars jars;
    private final DemoSeason season;
    private final DemoDevices devices;
    private final DemoLabels labels;
    private final TransactionTemplate together;
    private final boolean wanted;

    DemoHousehold(
            People people,
            Jars jars,
            DemoSeason season,
            PlatformTransactionManager transactions,
            DemoDevices devices,
            DemoLabels labels,
            @Value("${crock.demo}") boolean wanted) {
        this.people = people;
        this.jars = jars;
        this.season = season;
        this.devices = devices;
        this.labels = labels;
        this.together = new TransactionTemplate(transactions);
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted) {
            return;
        }
        // Signing up and filling are two transactions: a start that was cut off between them is taken up here.
        SignedIn person = people.demoPerson().orElseGet(this::signUp);
        if (Current.as(person, jars::all).isEmpty()) {
            Current.as(
                    person,
                    () -> together.execute(status -> {
                        season.fill();
                        labels.stick();
                        return true;
                    }));
        }
        Current.as(
                person,
                () -> together.execute(status -> {
                    devices.plugIn();
                    return true;
                }));
    }

    private SignedIn signUp() {
        HouseSettings settings = new HouseSettings(
                "Gannet Row",
                new HouseholdUnits(UnitSystem.METRIC, CupSystem.METRIC, TemperatureScale.CELSIUS),
                "EUR",
                DemoHands.ZONE,
                Temperature.ofCelsius(14),
                Temperature.ofCelsius(19));
        return people.signUp(
                new People.NewPerson("demo@gannetrow.example", "five jars of yarrow", "Runa"), settings, true);
    }
}
