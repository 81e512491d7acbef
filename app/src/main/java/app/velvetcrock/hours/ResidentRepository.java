package app.velvetcrock.hours;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ResidentRepository extends JpaRepository<Resident, UUID> {

    @Query("select r from Resident r where r.removedAt is null order by r.createdAt")
    List<Resident> all();

    @Query("select r from Resident r where r.id = :id")
    Optional<Resident> findHere(UUID id);
}
