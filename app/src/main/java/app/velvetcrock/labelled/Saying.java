package app.velvetcrock.labelled;

import app.velvetcrock.core.label.Claims;
import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.label.Truth;
import java.util.List;

/**
 * What the label of a thing says, and what has to be so for it to be true.
 *
 * @param claims words of its title, and then of its own line, that claim too much
 * @param missing what a label for sale has to say and this does not, in words
 * @param held why it may not be sold as it stands; empty where it may
 */
public record Saying(Says says, Truth truth, List<Claimed> claims, List<String> missing, String held) {

    public Saying {
        claims = List.copyOf(claims);
        missing = List.copyOf(missing);
    }

    public Saying(Says says, Truth truth) {
        this(says, truth, List.of(), List.of(), "");
    }

    /** A word that claims too much: in its title, or in its own line, as those are written. */
    public record Claimed(boolean inTitle, String text, Claims.Claim claim) {

        /** Both texts with other words in its place. */
        public LotWords.Own with(LotWords.Own own, String other) {
            String anew = claim.with(text, other);
            return inTitle ? new LotWords.Own(anew, own.words()) : new LotWords.Own(own.title(), anew);
        }
    }

    /** Why it is not printed for sale; empty where it is. Paper for oneself is never refused. */
    public String refused(boolean sale) {
        if (!sale) {
            return "";
        }
        return !held.isEmpty()
                ? held
                : claims.isEmpty()
                        ? ""
                        : "For sale it is not printed with “%s”, %s: say it in other words, or answer it below."
                                .formatted(
                                        claims.get(0).claim().word(),
                                        claims.get(0).claim().why());
    }
}
