package app.velvetcrock.ways;

import app.velvetcrock.stillroom.Current;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnWayRepository extends JpaRepository<OwnWay, UUID> {

    default List<OwnWay> all() {
        return all(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from own_way where stillroom_id = :stillroom and removed_at is null order by created_at""")
    List<OwnWay> all(UUID stillroom);

    @Query("select w from OwnWay w where w.id = :id")
    Optional<OwnWay> findHere(UUID id);
}
