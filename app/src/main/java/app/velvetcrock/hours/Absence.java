package app.velvetcrock.hours;

import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.hibernate.annotations.UuidGenerator;
import org.jspecify.annotations.Nullable;

/** Days on which somebody's week does not hold. */
@Entity
@SuppressWarnings("NullAway.Init") // the persistence fills what no constructor does
class Absence {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    UUID id;

    @TenantId
    @PartitionKey
    UUID stillroomId;

    @Version
    Integer version;

    UUID residentId;
    LocalDate firstDay;
    LocalDate lastDay;
    String hours;
    String why;
    Instant createdAt;

    @Nullable
    Instant removedAt;

    protected Absence() {}

    Absence(UUID residentId, Presence.Otherwise otherwise, Instant createdAt) {
        this.residentId = residentId;
        this.firstDay = otherwise.first();
        this.lastDay = otherwise.last();
        this.hours = HoursReader.words(otherwise.hours());
        this.why = otherwise.why();
        this.createdAt = createdAt;
    }

    Presence.Otherwise otherwise() {
        return new Presence.Otherwise(firstDay, lastDay, HoursReader.parse(hours), why);
    }
}
