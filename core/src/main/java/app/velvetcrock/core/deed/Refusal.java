package app.velvetcrock.core.deed;

/**
 * Why a deed may not be done as things stand.
 *
 * @param field the value it hangs on, by its name in the deed; empty for the deed as a whole
 * @param wrong what was understood and what stands against it
 * @param instead what to say instead; empty where nothing would do
 */
public record Refusal(String field, String wrong, String instead) {

    static Refusal of(String wrong) {
        return new Refusal("", wrong, "");
    }
}
