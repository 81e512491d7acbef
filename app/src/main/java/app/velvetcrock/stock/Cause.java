package app.velvetcrock.stock;

import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.look.Held;
import java.util.Optional;

/** Why stock moved. */
public enum Cause {
    BOUGHT("brought in"),
    GATHERED("gathered"),
    DRIED("dried"),
    SPLIT("split off"),
    PROCESSED("cut or stripped"),
    MERGED("put together"),
    BLENDED("blended"),
    USED("used in a batch"),
    STRAINED("strained off"),
    SETTLED("decanted off"),
    BOTTLED("bottled"),
    POURED("poured"),
    DRAWN("drawn out"),
    GIVEN("given away"),
    SOLD("sold"),
    DISCARDED("discarded"),
    CORRECTED("corrected"),
    UNDONE("taken back");

    private final String word;

    Cause(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /**
     * Why some is taken out, by what that counts as.
     *
     * @throws IllegalArgumentException for what is no taking out
     */
    static Cause of(Held taking) {
        return switch (taking) {
            case DRAW -> DRAWN;
            case GIVE -> GIVEN;
            case SELL -> SOLD;
            case USE, SHAKE, STRAIN, BOTTLE -> throw new IllegalArgumentException(
                    "nothing is taken out to be " + taking.word());
        };
    }

    /** How what comes from somewhere came in. */
    static Cause bringing(Origin origin) {
        return origin.isPicked() ? GATHERED : BOUGHT;
    }

    /** What taking some out for this counts as, which an open condition may hold back; absent for what nothing holds back. */
    Optional<Held> held() {
        return switch (this) {
            case DRIED, SPLIT, PROCESSED, MERGED, BLENDED, USED -> Optional.of(Held.USE);
            case BOTTLED -> Optional.of(Held.BOTTLE);
            case DRAWN -> Optional.of(Held.DRAW);
            case GIVEN -> Optional.of(Held.GIVE);
            case SOLD -> Optional.of(Held.SELL);
            case BOUGHT, GATHERED, STRAINED, SETTLED, POURED, DISCARDED, CORRECTED, UNDONE -> Optional.empty();
        };
    }
}
