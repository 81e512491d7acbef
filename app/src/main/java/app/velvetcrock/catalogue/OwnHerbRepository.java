package app.velvetcrock.catalogue;

import app.velvetcrock.stillroom.Current;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnHerbRepository extends JpaRepository<OwnHerb, UUID> {

    default List<OwnHerb> all() {
        return all(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from own_herb where stillroom_id = :stillroom order by common, created_at""")
    List<OwnHerb> all(UUID stillroom);

    @Query("select h from OwnHerb h where h.key = :key")
    Optional<OwnHerb> byKey(String key);
}
