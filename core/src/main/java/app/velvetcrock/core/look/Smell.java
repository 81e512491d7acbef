package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;
import java.util.Optional;

/** What a jar or an oil smells of. */
public enum Smell implements Worded {
    RIGHT("smells right"),
    FAINT("hardly smells"),
    SOUR("sour or yeasty"),
    RANCID("sharp, waxy, crayons"),
    FRIED("fried"),
    NOT_SMELLED("not smelled");

    private final String word;

    Smell(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** What this smell is a sign of; nothing when it is as it should be. */
    public Optional<Sign> sign() {
        return switch (this) {
            case RIGHT, NOT_SMELLED -> Optional.empty();
            case FAINT -> Optional.of(Sign.WEAK);
            case SOUR -> Optional.of(Sign.FERMENTED);
            case RANCID -> Optional.of(Sign.RANCID);
            case FRIED -> Optional.of(Sign.SCORCHED);
        };
    }
}
