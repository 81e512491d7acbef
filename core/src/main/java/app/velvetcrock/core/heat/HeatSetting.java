package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Worded;

/** What a source of heat is turned to, as slow cookers have it; what each comes to is learned (craft: devices). */
public enum HeatSetting implements Worded {
    WARM("warm"),
    LOW("low"),
    HIGH("high");

    private final String word;

    HeatSetting(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
