package app.velvetcrock.kit;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface JarRepository extends JpaRepository<Jar, UUID> {

    @Query("select j from Jar j order by j.capacityMicrolitres, j.createdAt")
    List<Jar> all();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select j from Jar j where j.id = :id")
    Optional<Jar> lock(UUID id);
}
