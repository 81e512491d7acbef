package app.velvetcrock.web;

/**
 * The forms of a page of which one was sent: that one shows what was typed and what is wrong with it, the others stand empty.
 *
 * @param which the form sent; empty for none
 * @param typed what was typed in it
 * @param blank what stands in the others
 */
public record Sent<T>(String which, Fields fields, T typed, T blank) {

    /** A page of which nothing was sent. */
    public static <T> Sent<T> nothing(Fields fields, T blank) {
        return new Sent<>("", fields, blank, blank);
    }

    public boolean is(String form) {
        return which.equals(form);
    }

    public Fields fields(String form) {
        return is(form) ? fields : fields.blank();
    }

    public T typed(String form) {
        return is(form) ? typed : blank;
    }

    /** What was typed in a form, or what else stands in it before it is sent. */
    public T typedOr(String form, T before) {
        return is(form) ? typed : before;
    }
}
