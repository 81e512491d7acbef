package app.velvetcrock.catalogue;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnHerbRepository extends JpaRepository<OwnHerb, UUID> {

    @Query("select h from OwnHerb h order by h.common, h.createdAt")
    List<OwnHerb> all();

    @Query("select h from OwnHerb h where h.key = :key")
    Optional<OwnHerb> byKey(String key);
}
