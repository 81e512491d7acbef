package app.velvetcrock.recipes;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KeptPlanRepository extends JpaRepository<KeptPlan, UUID> {

    @Query("select p from KeptPlan p where p.removedAt is null order by p.title, p.createdAt limit " + Recipes.MOST)
    List<KeptPlan> all();

    @Query("select p from KeptPlan p where p.id = :id")
    Optional<KeptPlan> findHere(UUID id);
}
