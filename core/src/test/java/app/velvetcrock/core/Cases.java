package app.velvetcrock.core;

/** How many made-up cases a test tries: as many as fit an ordinary run, or many times that ({@code ./crock test deep}). */
public final class Cases {

    private static final int TIMES = Integer.getInteger("crock.cases", 1);

    private Cases() {}

    public static int of(int usual) {
        return Math.multiplyExact(usual, TIMES);
    }
}
