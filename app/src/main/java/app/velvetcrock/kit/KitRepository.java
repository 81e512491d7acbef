package app.velvetcrock.kit;

import app.velvetcrock.stillroom.Current;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface KitRepository extends JpaRepository<Kit, UUID> {

    default List<Kit> all() {
        return all(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from kit where stillroom_id = :stillroom and removed_at is null order by kind, name, created_at""")
    List<Kit> all(UUID stillroom);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select k from Kit k where k.id = :id and k.removedAt is null")
    Optional<Kit> lock(UUID id);
}
