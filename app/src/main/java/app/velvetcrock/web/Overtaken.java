package app.velvetcrock.web;

/** Somebody changed meanwhile what this was read from; what was typed is still there to be sent again. */
public class Overtaken extends Refused {

    public Overtaken(String field, String reason) {
        super(field, reason, "");
    }
}
