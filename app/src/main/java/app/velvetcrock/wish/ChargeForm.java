package app.velvetcrock.wish;

import app.velvetcrock.sentence.WishForm;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What the scale says of a wish that is charged.
 *
 * @param weighed the herb; empty for as it was planned
 * @param poured the oil; empty for as it was planned
 * @param from how the herb came: an origin's name
 * @param byHand there is no scale: both are as planned, by the handful
 * @param dry the jar was dry
 * @param sure the herb is no look-alike
 */
record ChargeForm(
        @Nullable UUID key,
        @Nullable String weighed,
        @Nullable String poured,
        @Nullable String from,
        @Nullable String byHand,
        @Nullable String dry,
        @Nullable String sure) {

    public boolean isByHand() {
        return !WishForm.text(byHand).isEmpty();
    }

    public boolean isDry() {
        return !WishForm.text(dry).isEmpty();
    }

    public boolean isSure() {
        return !WishForm.text(sure).isEmpty();
    }

    static final ChargeForm EMPTY = new ChargeForm(null, "", "", "", null, null, null);
}
