package app.velvetcrock.stillroom;

import app.velvetcrock.core.deed.Doing;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;

/** Who is at work on this thread; every query is scoped by it. */
public final class Current {

    private Current() {}

    public static Optional<SignedIn> signedIn() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn person
                ? Optional.of(person)
                : Optional.empty();
    }

    /**
     * The one at work.
     *
     * @throws IllegalStateException where nobody is signed in, which no route behind the sign-in can meet
     */
    public static SignedIn person() {
        return signedIn().orElseThrow(() -> new IllegalStateException("nobody is signed in on this thread"));
    }

    public static UUID stillroom() {
        return person().stillroom();
    }

    /** A deed of whoever is at work. */
    public static <D> Doing<D> doing(D deed, UUID key, Instant at, String typed) {
        return new Doing<>(key, at, person().account(), typed, deed);
    }

    /** Does some work as {@code person}, then puts back who was there before; for loading, not for requests. */
    public static <T> T as(SignedIn person, Supplier<T> work) {
        SecurityContext before = SecurityContextHolder.getContext();
        try {
            SecurityContextHolder.setContext(new SecurityContextImpl(
                    UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities())));
            return work.get();
        } finally {
            SecurityContextHolder.setContext(before);
        }
    }
}
