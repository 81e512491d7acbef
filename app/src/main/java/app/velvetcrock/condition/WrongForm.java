package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import app.velvetcrock.web.Fields;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** That something is wrong, as typed: what, and whatever else is to be said. Nothing is preset in it. */
public record WrongForm(@Nullable UUID key, @Nullable String what, @Nullable String words, @Nullable String when) {

    private static final int LONGEST_WORDS = 300;

    /** What is wrong, read. */
    public record Wrong(Condition what, String words) {}

    public UUID keyOrNew() {
        return key == null ? UUID.randomUUID() : key;
    }

    public Optional<Wrong> read(Fields fields) {
        Optional<Condition> kind = fields.oneOf("what", Condition.class, what);
        Optional<String> said = fields.optionalWords("words", words, LONGEST_WORDS);
        return kind.isPresent() && said.isPresent() ? Optional.of(new Wrong(kind.get(), said.get())) : Optional.empty();
    }
}
