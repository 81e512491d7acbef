package app.velvetcrock.stillroom;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StillroomRepository extends JpaRepository<Stillroom, UUID> {

    Optional<Stillroom> findFirstByDemoTrueOrderByCreatedAtDesc();
}
