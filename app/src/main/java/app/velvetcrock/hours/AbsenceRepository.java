package app.velvetcrock.hours;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AbsenceRepository extends JpaRepository<Absence, UUID> {

    @Query("select a from Absence a where a.removedAt is null order by a.firstDay, a.createdAt")
    List<Absence> all();

    @Query("select a from Absence a where a.id = :id")
    Optional<Absence> findHere(UUID id);
}
