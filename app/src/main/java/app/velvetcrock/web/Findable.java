package app.velvetcrock.web;

import java.util.List;

/** A place whose things can be found by name. */
public interface Findable {

    /** What is called like this, the nearest first; {@code text} is lower case and not blank. */
    List<Hit> find(String text);
}
