package app.velvetcrock.web;

/** Something that cannot be done as things stand, with the reason in words for the person; nothing was changed. */
public class Refused extends RuntimeException {

    public Refused(String reason) {
        super(reason);
    }
}
