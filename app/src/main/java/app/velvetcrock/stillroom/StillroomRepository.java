package app.velvetcrock.stillroom;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface StillroomRepository extends JpaRepository<Stillroom, UUID> {

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from Stillroom s where s.id = :id")
    Optional<Stillroom> lock(UUID id);

    /** A stillroom as one of its people sees it who belongs to it now and came in by the password there is: theirs is how it is shown. */
    record Seen(Stillroom stillroom, Display display) {}

    @Query(
            """
            select new app.velvetcrock.stillroom.StillroomRepository$Seen(s, a.display) from Stillroom s, Account a, Membership m
            where s.id = :stillroom and a.id = :account and a.passwordVersion = :passwordVersion
            and m.stillroomId = s.id and m.accountId = a.id and m.leftAt is null""")
    Optional<Seen> seenBy(UUID stillroom, UUID account, int passwordVersion);

    Optional<Stillroom> findFirstByDemoTrueOrderByCreatedAtDesc();
}
