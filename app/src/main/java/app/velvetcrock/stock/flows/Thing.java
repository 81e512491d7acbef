package app.velvetcrock.stock.flows;

import app.velvetcrock.core.larder.LotKind;

/**
 * What is counted as one thing, whichever lot of it: a kind of herb or supply by its key, an oil or a made thing by its name.
 *
 * @param key a kind's key, or a name in lower case
 */
public record Thing(LotKind kind, String key) {

    /** Tells whether it is made here of others. */
    public boolean isMade() {
        return kind == LotKind.INFUSED_OIL || kind == LotKind.MADE;
    }
}
