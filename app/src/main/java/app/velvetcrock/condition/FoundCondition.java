package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** A condition as it was found, and its answer once there is one. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
@Table(name = "condition")
class FoundCondition {

    /** How a condition came to its end. */
    enum Answer {
        THROWN_OUT,
        DEALT_WITH,
        /** What found it does not hold. */
        TAKEN_BACK
    }

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    @Nullable
    UUID batchId;

    @Nullable
    UUID lotId;

    @Enumerated(EnumType.STRING)
    Condition kind;

    String name;
    String words;
    Instant foundAt;
    Instant recordedAt;
    UUID foundBy;

    /** The line of a log that found it; null where there is none. */
    @Nullable
    UUID source;

    /** Worked out by the core, and withdrawn by it when it holds no longer; false for what somebody saw or smelled. */
    boolean workedOut;

    /** Whether it stands on all that was made of it, as the core said when it was found. */
    boolean travels;

    @Enumerated(EnumType.STRING)
    @Nullable
    Answer answer;

    @Nullable
    Instant answeredAt;

    @Nullable
    UUID answeredBy;

    @Nullable
    String answerWords;

    /** The line or deed that answered it, with which the answer is taken back. */
    @Nullable
    UUID answerSource;

    /** Whether somebody said so, rather than a deed that did away with it. */
    boolean byHand;

    protected FoundCondition() {}

    FoundCondition(Condition kind, Subject subject, Finding finding) {
        this.kind = kind;
        this.batchId = subject.batch();
        this.lotId = subject.lot();
        this.name = subject.name();
        this.words = finding.words();
        this.foundAt = finding.at();
        this.source = finding.source();
    }

    void reopen() {
        answer = null;
        answerWords = null;
        answerSource = null;
        byHand = false;
        answeredAt = null;
        answeredBy = null;
    }

    /** What it is of and what is wrong: "Yarrow, jar 3: mould". */
    String because() {
        return "%s: %s".formatted(name, kind.word());
    }

    Subject subject() {
        return new Subject(batchId, lotId, name);
    }
}
