package app.velvetcrock.kit;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface KitRepository extends JpaRepository<Kit, UUID> {

    @Query("select k from Kit k where k.removedAt is null order by k.kind, k.name, k.createdAt")
    List<Kit> all();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select k from Kit k where k.id = :id and k.removedAt is null")
    Optional<Kit> lock(UUID id);
}
