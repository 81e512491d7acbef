package app.velvetcrock.hours;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ResidentRepository extends JpaRepository<Resident, UUID> {

    @Query("select r from Resident r where r.removedAt is null order by r.createdAt")
    List<Resident> all();

    /** Somebody with one of the stretches in which their week does not hold, or with none. */
    record Otherwise(Resident resident, @Nullable Absence absence) {}

    @Query(
            """
            select new app.velvetcrock.hours.ResidentRepository$Otherwise(r, a) from Resident r
            left join Absence a on a.residentId = r.id and a.removedAt is null
            where r.removedAt is null order by r.createdAt, a.firstDay, a.createdAt""")
    List<Otherwise> withAbsences();

    @Query("select r from Resident r where r.id = :id")
    Optional<Resident> findHere(UUID id);
}
