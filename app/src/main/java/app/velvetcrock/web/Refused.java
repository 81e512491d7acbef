package app.velvetcrock.web;

import app.velvetcrock.core.deed.Refusal;

/** Something that cannot be done as things stand, with the reason in words for the person; nothing was changed. */
public class Refused extends RuntimeException {

    private final String reason;
    private final String field;
    private final String instead;

    public Refused(String reason) {
        this("", reason, "");
    }

    /**
     * Refused for one value.
     *
     * @param field the field it was typed in; empty for the form as a whole
     * @param instead what to type instead; empty where nothing would do
     */
    public Refused(String field, String reason, String instead) {
        super(reason);
        this.reason = reason;
        this.field = field;
        this.instead = instead;
    }

    public Refused(Refusal refusal) {
        this(refusal.field(), refusal.wrong(), refusal.instead());
    }

    /** The reason in words. */
    public String reason() {
        return reason;
    }

    public String field() {
        return field;
    }

    public String instead() {
        return instead;
    }

    /** Somebody changed meanwhile what this was read from; what was typed is still there to be sent again. */
    public static class Overtaken extends Refused {

        public Overtaken(String field, String reason) {
            super(field, reason, "");
        }
    }

    /** Somebody did this very thing before; said in words, and nothing is written twice. */
    public static class AlreadyDone extends Refused {

        public AlreadyDone(String reason) {
            super(reason);
        }
    }

    /** What stands against a form first, where one line said what it would have said; what it asks besides is said elsewhere. */
    public static Refused of(Fields fields, String elsewhere) {
        return new Refused(fields.troubles().values().stream()
                .findFirst()
                .map(trouble -> "%s Nothing was written; %s it can be said.".formatted(trouble.wrong(), elsewhere))
                .orElse("Nothing was written; %s that can be said.".formatted(elsewhere)));
    }
}
