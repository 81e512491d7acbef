package app.velvetcrock.draw;

/** Colours as data: mixed from the tints of herb and carrier. */
final class Tint {

    private Tint() {}

    /** Mixes two six-digit colours: {@code share} of the second, 0 to 1. */
    static String mix(String first, String second, double share) {
        StringBuilder mixed = new StringBuilder("#");
        for (int at = 1; at < 7; at += 2) {
            int a = Integer.parseInt(first.substring(at, at + 2), 16);
            int b = Integer.parseInt(second.substring(at, at + 2), 16);
            long both = Math.round(a + (b - a) * share);
            mixed.append(Character.forDigit((int) (both >> 4) & 15, 16))
                    .append(Character.forDigit((int) both & 15, 16));
        }
        return mixed.toString();
    }
}
