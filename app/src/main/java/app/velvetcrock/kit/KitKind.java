package app.velvetcrock.kit;

import app.velvetcrock.core.measure.Worded;

/** What a piece of kit is for. */
public enum KitKind implements Worded {
    POT("pot or wide pan"),
    SLOW_COOKER("slow cooker"),
    DEHYDRATOR("dehydrator"),
    OVEN("oven"),
    THERMOMETER("thermometer"),
    SCALE("scale"),
    PRESS("press or ricer"),
    CLOTH("cloth or bag"),
    OTHER("something else");

    private final String word;

    KitKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
