package app.velvetcrock.stillroom;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * Who is signed in and in which stillroom; kept in the session.
 *
 * @param passwordVersion which password they came in by; of a session from before that was kept, the first
 */
public record SignedIn(
        UUID account, UUID stillroom, String email, String name, String passwordHash, int passwordVersion)
        implements UserDetails {

    /** A stillroom that cannot exist: of somebody who belongs to none now. */
    public static final UUID NOWHERE = new UUID(0, 0);

    private static final int MARK = 32;

    /** Tells whether they belong to a stillroom. */
    public boolean isSomewhere() {
        return !stillroom.equals(NOWHERE);
    }

    /**
     * A mark of this person in this stillroom, for what they have under way: nobody can make it up, it says nothing of them, and it
     * is another once the password is.
     */
    public String mark() {
        return Secrets.hash(account + " " + stillroom + " " + passwordHash).substring(0, MARK);
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return email;
    }

    /** Leaves the hash out: this travels into logs and error pages. */
    @Override
    public String toString() {
        return "account " + account + " in stillroom " + stillroom;
    }

    /** Whoever asks is signed in by what does not hold any more: they left, were let go, or their password was changed. */
    public static final class Over extends RuntimeException {

        private static final long serialVersionUID = 1;

        Over() {
            super("the sign-in does not hold any more");
        }
    }
}
