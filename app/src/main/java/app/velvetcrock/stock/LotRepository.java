package app.velvetcrock.stock;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LotRepository extends JpaRepository<Lot, UUID> {

    @Query("select l from Lot l where l.id = :id")
    Optional<Lot> findHere(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Lot l where l.id = :id")
    Optional<Lot> lock(UUID id);

    @Query("select count(l) > 0 from Lot l where l.kindKey = :key")
    boolean isStored(String key);

    /** What is in stock of some kinds and goes by a name; {@code like} is a pattern, lower case. */
    @Query(
            "select l from Lot l where l.kind in :kinds and l.balance > 0 and l.words like :like order by l.name, l.createdAt, l.id")
    List<Lot> inStock(Collection<LotKind> kinds, String like);

    @Query("select l from Lot l where l.id in :ids order by l.createdAt, l.id")
    List<Lot> among(Collection<UUID> ids);

    @Query("select l from Lot l where l.kind = :kind and l.balance > 0 order by l.name, l.createdAt, l.id")
    List<Lot> inStock(LotKind kind);

    /** Tells whether another lot of a batch still has stock. */
    @Query("select count(l) > 0 from Lot l where l.batchId = :batch and l.id <> :but and l.balance > 0")
    boolean isLeftOf(UUID batch, UUID but);
}
