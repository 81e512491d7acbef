package app.velvetcrock.core.keeping;

/**
 * What befell an oil besides its plan.
 *
 * @param waterDecanted true when water lay under it and was decanted off
 * @param scorched true when it was hot enough to scorch
 * @param clearGlassInLight true in clear glass that light reaches
 * @param antioxidant true with mixed tocopherols 0.1-0.5 % or rosemary extract 0.02-0.1 %
 */
public record Aftermath(boolean waterDecanted, boolean scorched, boolean clearGlassInLight, boolean antioxidant) {

    public static final Aftermath NONE = new Aftermath(false, false, false, false);
}
