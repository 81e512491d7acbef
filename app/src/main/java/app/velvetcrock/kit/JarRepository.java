package app.velvetcrock.kit;

import app.velvetcrock.stillroom.Current;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface JarRepository extends JpaRepository<Jar, UUID> {

    default List<Jar> all() {
        return all(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from jar where stillroom_id = :stillroom order by capacity_ul, created_at""")
    List<Jar> all(UUID stillroom);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select j from Jar j where j.id = :id")
    Optional<Jar> lock(UUID id);
}
