package app.velvetcrock.labelled;

import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.label.Truth;

/**
 * What the label of a thing says, and what has to be so for it to be true.
 *
 * @param refused why it is not printed with those words; empty where it is
 */
public record Saying(Says says, Truth truth, String refused) {

    public Saying(Says says, Truth truth) {
        this(says, truth, "");
    }
}
