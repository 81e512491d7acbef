package app.velvetcrock.shelf;

import app.velvetcrock.kit.Jars;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.stock.Stores;
import org.springframework.stereotype.Component;

/** What a household in which nothing stands yet is led to: the next thing that is missing. */
@Component
class FirstStep {

    private final Stores stores;
    private final Jars jars;
    private final KitShelf kit;

    FirstStep(Stores stores, Jars jars, KitShelf kit) {
        this.stores = stores;
        this.jars = jars;
        this.kit = kit;
    }

    /**
     * The next step.
     *
     * @param words what is there and what is missing
     */
    record Step(String words, String href, String label) {}

    Step next() {
        boolean herb = !stores.herbs().isEmpty();
        boolean oil = !stores.carriers().isEmpty();
        if (!herb && !oil) {
            return list("Nothing is in the Stores yet. Say what you have, in one list, in your own words.");
        }
        if (!herb) {
            return list("Oil is here; a herb is missing next.");
        }
        if (!oil) {
            return list("A herb is here; an oil to cover it is missing next.");
        }
        if (jars.all().isEmpty() && kit.pots().isEmpty()) {
            return list("Herb and oil are here; a jar is missing next.");
        }
        return new Step("Herb, oil and a jar are here: plan the first of them.", "/bench", "To the Bench");
    }

    private static Step list(String words) {
        return new Step(words, "/stores/list", "Say what is there");
    }
}
