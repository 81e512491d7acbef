package app.velvetcrock.core.measure;

/** One of a list people choose from: what is kept, and what is read. */
public interface Worded {

    /** What is kept and sent, which no household ever reads. */
    String name();

    /** What is read. */
    String word();
}
