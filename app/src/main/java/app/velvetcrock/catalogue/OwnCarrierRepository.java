package app.velvetcrock.catalogue;

import app.velvetcrock.stillroom.Current;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnCarrierRepository extends JpaRepository<OwnCarrier, UUID> {

    default List<OwnCarrier> all() {
        return all(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from own_carrier where stillroom_id = :stillroom order by common, created_at""")
    List<OwnCarrier> all(UUID stillroom);

    @Query("select c from OwnCarrier c where c.key = :key")
    Optional<OwnCarrier> byKey(String key);
}
