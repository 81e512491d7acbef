package app.velvetcrock.core.spirit;

/** What is said at every step of a charge moistened with spirit, until none is left (craft: spirit, cautions). */
public final class SpiritFire {

    /** On plan, batch, watch, label and calendar. */
    public static final String WORDS =
            "Spirit vapour burns: no flame, no gas hob, no closed oven or dehydrator near it, and the window open.";

    /** The same where there is little room. */
    public static final String SHORT = "spirit: no flame";

    /** When none is left. */
    public static final String GONE =
            "It has lost 95 % of the weight of the spirit, and no smell of it is left. Water that came with it is still in it.";

    private SpiritFire() {}
}
