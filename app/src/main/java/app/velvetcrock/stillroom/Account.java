package app.velvetcrock.stillroom;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A person who signs in; belongs to stillrooms through memberships. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Account {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;

    @Version
    private Integer version;

    private String email;
    private String passwordHash;

    /** How often the password was changed; whoever came in by an earlier one is out. */
    private int passwordVersion;

    private String name;

    @Embedded
    private Display display = Display.USUAL;

    private Instant createdAt;

    protected Account() {}

    Account(String email, String passwordHash, String name, Instant createdAt) {
        this.email = email;
        this.passwordHash = passwordHash;
        this.name = name;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String email() {
        return email;
    }

    String passwordHash() {
        return passwordHash;
    }

    String name() {
        return name;
    }

    void setDisplay(Display display) {
        this.display = display;
    }

    int passwordVersion() {
        return passwordVersion;
    }

    void changePassword(String hash) {
        passwordHash = hash;
        passwordVersion++;
    }
}
