package app.velvetcrock.web;

/**
 * Something found by its name, with the page it is on.
 *
 * @param near how much of what was typed is in its name, 0 to 1
 */
public record Hit(String name, String what, String leadsTo, boolean inStock, double near) {

    /** How much of what was typed must be found in a name. */
    public static final double LEAST = 0.45;

    /** More than these are not read by anybody. */
    public static final int MOST = 40;
}
