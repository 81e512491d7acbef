package app.velvetcrock.core.deed;

/**
 * Why a deed may not be done as things stand.
 *
 * @param field the value it hangs on, by its name in the deed; empty for the deed as a whole
 * @param wrong what was understood and what stands against it
 * @param instead what to say instead; empty where nothing would do
 * @param already whether it is only that somebody did it before
 */
public record Refusal(String field, String wrong, String instead, boolean already) {

    public Refusal(String field, String wrong, String instead) {
        this(field, wrong, instead, false);
    }

    static Refusal already(String wrong) {
        return new Refusal("", wrong, "", true);
    }

    static Refusal of(String wrong) {
        return new Refusal("", wrong, "");
    }
}
