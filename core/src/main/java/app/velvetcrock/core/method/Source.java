package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Worded;

/** What gives a method its heat. */
public enum Source implements Worded {
    POT("a pot for a water bath"),
    SLOW_COOKER("a slow cooker"),
    DEHYDRATOR("a dehydrator"),
    OVEN("an oven");

    private final String word;

    Source(String word) {
        this.word = word;
    }

    /** The word with its article: "a slow cooker". */
    @Override
    public String word() {
        return word;
    }
}
