package app.velvetcrock.rack;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RackWeighingRepository extends JpaRepository<RackWeighing, UUID> {

    @Query("select w from RackWeighing w where w.dryingId in :dryings and w.takenBackAt is null order by w.happenedAt")
    List<RackWeighing> holding(Collection<UUID> dryings);

    @Query("select w from RackWeighing w where w.id = :id and w.dryingId = :drying")
    Optional<RackWeighing> findHere(UUID drying, UUID id);
}
