package app.velvetcrock.rack;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface DryingRepository extends JpaRepository<Drying, UUID> {

    @Query("select d from Drying d where d.endedAt is null order by d.startedAt")
    List<Drying> onTheRack();

    @Query("select d from Drying d where d.endedAt is not null order by d.endedAt desc limit 12")
    List<Drying> takenDown();

    @Query("select d.lotId from Drying d where d.endedAt is null")
    List<UUID> lotsOnTheRack();

    @Query("select count(d) > 0 from Drying d where d.lotId = :lot and d.endedAt is null")
    boolean isDrying(UUID lot);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from Drying d where d.id = :id")
    Optional<Drying> lock(UUID id);

    @Query("select d from Drying d where d.lotId = :lot and d.endedAt is null")
    Optional<Drying> of(UUID lot);

    /** The drying of a lot that lies on the rack. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from Drying d where d.lotId = :lot and d.endedAt is null")
    Optional<Drying> lockOf(UUID lot);
}
