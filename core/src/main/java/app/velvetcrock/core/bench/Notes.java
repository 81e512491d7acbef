package app.velvetcrock.core.bench;

/** What is said beside the fields of a question while it is worked out. */
public interface Notes {

    /** Something cannot be as it stands there. */
    void trouble(String field, String wrong, String instead);

    /** How it was understood, or what was taken where nothing is said. */
    void echo(String field, String words);

    /** Tells whether nothing is wrong. */
    boolean isClear();
}
