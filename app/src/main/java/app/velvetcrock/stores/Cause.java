package app.velvetcrock.stores;

/** Why stock moved. */
public enum Cause {
    BOUGHT("brought in"),
    GATHERED("gathered"),
    DRIED("dried"),
    SPLIT("split off"),
    PROCESSED("cut or stripped"),
    MERGED("put together"),
    BLENDED("blended"),
    USED("used in a batch"),
    STRAINED("strained off"),
    SETTLED("decanted off"),
    BOTTLED("bottled"),
    DRAWN("drawn out"),
    GIVEN("given away"),
    SOLD("sold"),
    DISCARDED("discarded"),
    CORRECTED("corrected"),
    UNDONE("taken back");

    private final String word;

    Cause(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
