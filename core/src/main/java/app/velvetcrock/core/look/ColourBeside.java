package app.velvetcrock.core.look;

import java.util.ArrayList;
import java.util.List;

/**
 * How an oil's colour differs from that of the plain oil beside it in the same picture. Light and camera change from one picture to the
 * next, so colours of two pictures are never compared.
 *
 * <p>Colours are taken from sRGB (IEC 61966-2-1) into CIE L*a*b* under D65 (CIE 15), where equal steps look about equally large.
 *
 * @param lighter by how much it is lighter, in L* (0 black to 100 white); negative where it is darker
 * @param redder by how much it is redder, in a*; negative where it is greener
 * @param yellower by how much it is yellower, in b*; negative where it is less so
 */
public record ColourBeside(double lighter, double redder, double yellower) {

    /** Less than that nobody sees: the just noticeable difference in L*a*b* (Mahy and others, 1994). */
    static final double SEEN = 2.3;

    /** A word is said of a direction from here on. */
    private static final double SAID = 2;

    private static final double MUCH = 20;

    /** The white of D65, as sRGB has it. */
    private static final double WHITE_X = 0.95047;

    private static final double WHITE_Z = 1.08883;

    /**
     * Compares two colours of one picture.
     *
     * @param oil red, green and blue, each from 0 to 255
     * @param plain the same of the plain oil beside it
     * @throws IllegalArgumentException where a colour is not three such figures
     */
    public static ColourBeside of(int[] oil, int[] plain) {
        double[] one = lab(oil);
        double[] other = lab(plain);
        return new ColourBeside(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
    }

    /** How far apart they are in all (CIE 1976 ΔE*). */
    public double apart() {
        return Math.sqrt(lighter * lighter + redder * redder + yellower * yellower);
    }

    /** As somebody would say it, with both held side by side. */
    public String words() {
        if (apart() < SEEN) {
            return "no difference to be seen";
        }
        List<String> all = new ArrayList<>();
        say(all, lighter, "lighter", "darker");
        say(all, redder, "redder", "greener");
        say(all, yellower, "yellower", "less yellow");
        return all.isEmpty() ? "a trace of a difference" : String.join(", ", all);
    }

    private static void say(List<String> all, double by, String more, String less) {
        if (Math.abs(by) >= SAID) {
            all.add((Math.abs(by) >= MUCH ? "much " : "") + (by > 0 ? more : less));
        }
    }

    private static double[] lab(int[] rgb) {
        if (rgb.length != 3) {
            throw new IllegalArgumentException("a colour is red, green and blue");
        }
        double r = linear(rgb[0]);
        double g = linear(rgb[1]);
        double b = linear(rgb[2]);
        double x = curve((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / WHITE_X);
        double y = curve(0.2126729 * r + 0.7151522 * g + 0.0721750 * b);
        double z = curve((0.0193339 * r + 0.1191920 * g + 0.9503041 * b) / WHITE_Z);
        return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    }

    private static double linear(int part) {
        if (part < 0 || part > 255) {
            throw new IllegalArgumentException("a part of a colour is 0 to 255, not " + part);
        }
        double of = part / 255.0;
        return of <= 0.04045 ? of / 12.92 : Math.pow((of + 0.055) / 1.055, 2.4);
    }

    private static double curve(double of) {
        double small = 6.0 / 29;
        return of > small * small * small ? Math.cbrt(of) : of / (3 * small * small) + 4.0 / 29;
    }
}
