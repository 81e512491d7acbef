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

    Optional<Stillroom> findFirstByDemoTrueOrderByCreatedAtDesc();
}
