package app.velvetcrock.stillroom;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is signed in and in which stillroom; kept in the session. */
public record SignedIn(UUID account, UUID stillroom, String email, String name, String passwordHash)
        implements UserDetails {

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
}
