package app.velvetcrock.sentence;

import app.velvetcrock.core.text.Linear;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/**
 * The sentence as typed; the address holds it.
 *
 * @param amount of the herb there is; empty where as much is taken as it needs
 * @param state how wet it is, and {@code cut} how fine
 * @param what is wanted, in anybody's words
 * @param much of it; empty for whatever the herb gives
 */
public record WishForm(
        @Nullable String amount,
        @Nullable String herb,
        @Nullable String state,
        @Nullable String cut,
        @Nullable String oil,
        @Nullable String what,
        @Nullable String much,
        @Nullable String use,
        @Nullable String needed) {

    /** A sentence in an address: names, values and what stands for signs, and nothing that leads anywhere else. */
    private static final String SIGNS = "[A-Za-z0-9%=&+._~-]*";

    private static final int LONGEST = 1_500;

    /** What is put before somebody who has said nothing yet. */
    public static WishForm example(String by) {
        return new WishForm(
                "30 g", "calendula", "DRIED", "WHOLE", "olive oil", "a salve for chapped hands", "", "HANDS", by);
    }

    /** Where a sentence that was carried along as an address leads back to; nowhere else. */
    public static Optional<String> leadsTo(@Nullable String carried) {
        boolean isWish =
                carried != null && !carried.isEmpty() && carried.length() <= LONGEST && Linear.matches(carried, SIGNS);
        return isWish ? Optional.of("/wish?" + carried) : Optional.empty();
    }

    /** The same as it is carried along. */
    public String carried() {
        return address("").substring(1);
    }

    /** Nothing is said. */
    public static WishForm nothing() {
        return new WishForm(null, null, null, null, null, null, null, null, null);
    }

    /** Tells whether nothing of it is said. */
    public boolean isEmpty() {
        return said().values().stream().allMatch(String::isEmpty);
    }

    public static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    /** The same with one of its words otherwise. */
    public WishForm with(String field, String value) {
        Map<String, String> all = said();
        all.put(field, value);
        return new WishForm(
                all.get("amount"),
                all.get("herb"),
                all.get("state"),
                all.get("cut"),
                all.get("oil"),
                all.get("what"),
                all.get("much"),
                all.get("use"),
                all.get("needed"));
    }

    /** Puts all that is said of it into an address below a name: {@code want.wish.herb}. */
    public static void put(Map<String, String> address, String below, @Nullable WishForm wish) {
        if (wish != null) {
            wish.named().forEach((field, value) -> address.put(below + field, value));
        }
    }

    /** Its address below a place; all that is said. */
    public String address(String place) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath(place);
        said().forEach((field, value) -> {
            if (!value.isEmpty()) {
                address.queryParam(field, UriUtils.encode(value, StandardCharsets.UTF_8));
            }
        });
        return address.build(true).toUriString();
    }

    /** The same sentence, however it is spaced. */
    public String normalised() {
        return String.join("\n", said().values()).toLowerCase(Locale.ROOT).replace('\t', ' ');
    }

    /** What is said of it, by name. */
    public Map<String, String> named() {
        Map<String, String> named = said();
        named.values().removeIf(String::isEmpty);
        return named;
    }

    private Map<String, String> said() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("amount", text(amount));
        all.put("herb", text(herb));
        all.put("state", text(state));
        all.put("cut", text(cut));
        all.put("oil", text(oil));
        all.put("what", text(what));
        all.put("much", text(much));
        all.put("use", text(use));
        all.put("needed", text(needed));
        return all;
    }
}
