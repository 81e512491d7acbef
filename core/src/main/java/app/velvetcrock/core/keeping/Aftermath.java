package app.velvetcrock.core.keeping;

/**
 * What befell an oil besides its plan.
 *
 * @param waterDecanted true when water lay under it and was decanted off
 * @param scorched true when it was hot enough to scorch
 * @param clearGlassInLight true in clear glass that light reaches
 * @param antioxidant what was stirred in when it was bottled
 */
public record Aftermath(boolean waterDecanted, boolean scorched, boolean clearGlassInLight, Antioxidant antioxidant) {

    public static final Aftermath NONE = new Aftermath(false, false, false, Antioxidant.NONE);
}
