package app.velvetcrock.web.upkeep;

/** A place that keeps something for a time alone. */
public interface Clears {

    /** Clears away at most so many that are past their time, and tells how many there were. */
    int clear(int most);
}
