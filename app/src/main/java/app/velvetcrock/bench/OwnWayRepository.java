package app.velvetcrock.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnWayRepository extends JpaRepository<OwnWay, UUID> {

    @Query("select w from OwnWay w where w.removedAt is null order by w.createdAt")
    List<OwnWay> all();

    @Query("select w from OwnWay w where w.id = :id")
    Optional<OwnWay> findHere(UUID id);
}
