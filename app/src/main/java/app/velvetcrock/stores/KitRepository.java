package app.velvetcrock.stores;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KitRepository extends JpaRepository<Kit, UUID> {

    @Query("select k from Kit k where k.removedAt is null order by k.kind, k.name, k.createdAt")
    List<Kit> all();
}
