package app.velvetcrock.catalogue;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnCarrierRepository extends JpaRepository<OwnCarrier, UUID> {

    @Query("select c from OwnCarrier c order by c.common, c.createdAt")
    List<OwnCarrier> all();

    @Query("select c from OwnCarrier c where c.key = :key")
    Optional<OwnCarrier> byKey(String key);
}
