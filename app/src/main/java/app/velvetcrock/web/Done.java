package app.velvetcrock.web;

import org.jspecify.annotations.Nullable;

/**
 * What a form did.
 *
 * @param leadsTo the page after it
 * @param words what was done, said there
 * @param undo where to send the undoing; null where there is none
 */
public record Done(String leadsTo, String words, @Nullable String undo) {

    public Done(String leadsTo, String words) {
        this(leadsTo, words, null);
    }
}
