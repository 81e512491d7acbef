package app.velvetcrock.draw;

/** Writes a path of SVG: letters and numbers to a tenth of a pixel. A page holds dozens, so no format is read each time. */
public final class Stroke {

    private static final double TENTHS = 10;

    private Stroke() {}

    /**
     * A path from letters and the numbers after them: {@code of("M", 1.26, 2, "L", 3, 4)} is "M1.3 2.0 L3.0 4.0".
     *
     * @param parts letters as text, all else numbers
     */
    public static String of(Object... parts) {
        StringBuilder path = new StringBuilder(parts.length * 6);
        boolean afterNumber = false;
        for (Object part : parts) {
            if (afterNumber) {
                path.append(' ');
            }
            afterNumber = part instanceof Number;
            if (part instanceof Number number) {
                tenths(path, Math.round(number.doubleValue() * TENTHS));
            } else {
                path.append(part);
            }
        }
        return path.toString();
    }

    private static void tenths(StringBuilder path, long tenths) {
        if (tenths < 0) {
            path.append('-');
        }
        long size = Math.abs(tenths);
        path.append(size / 10).append('.').append(size % 10);
    }
}
