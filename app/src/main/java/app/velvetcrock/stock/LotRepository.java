package app.velvetcrock.stock;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
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
    Optional<Lot> read(UUID id);

    /** One lot; a page that has read what is in stock finds it there. */
    default Optional<Lot> findHere(UUID id) {
        return PerRequest.<List<Lot>>kept("stock", Current.person()).stream()
                .flatMap(List::stream)
                .filter(lot -> lot.id.equals(id))
                .findFirst()
                .or(() -> PerRequest.of("lot", List.of(Current.person(), id), () -> read(id)));
    }

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Lot l where l.id = :id")
    Optional<Lot> lock(UUID id);

    @Query("select count(l) > 0 from Lot l where l.kindKey = :key")
    boolean isStored(String key);

    /** So many lots a page reads at most; where there are more it says so, and the rest is found by name. */
    int MOST = 5_000;

    /** All that is in stock, the first by name. A page that wants several kinds of it asks once. */
    default List<Lot> inStock() {
        return inStock(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from lot where stillroom_id = :stillroom and balance > 0 order by name, created_at, id limit
            """
                            + MOST)
    List<Lot> inStock(UUID stillroom);

    /** What is in stock of some kinds. */
    default List<Lot> inStock(Collection<LotKind> kinds) {
        return PerRequest.of("stock", Current.person(), this::inStock).stream()
                .filter(lot -> kinds.contains(lot.kind) && !lot.isMelt())
                .toList();
    }

    /** What is in stock of one kind. */
    default List<Lot> inStock(LotKind kind) {
        return inStock(List.of(kind));
    }

    default List<Lot> among(Collection<UUID> ids) {
        return among(Current.stillroom(), ids);
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from lot where stillroom_id = :stillroom and id in (:ids) order by created_at, id""")
    List<Lot> among(UUID stillroom, Collection<UUID> ids);

    /** What is in the pan of a making; absent for one begun before melts were kept as stock. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Lot l where l.oilPart.batchId = :batch and l.kindKey = '" + Goods.MELT + "'")
    Optional<Lot> meltOf(UUID batch);

    /** What was poured of a making. */
    @Query("select l from Lot l where l.oilPart.batchId = :batch and l.kind = app.velvetcrock.core.larder.LotKind.MADE "
            + "and l.kindKey <> '" + Goods.MELT + "'")
    List<Lot> madeOf(UUID batch);

    /** Tells whether another lot of a batch still has stock. */
    @Query("select count(l) > 0 from Lot l where l.oilPart.batchId = :batch and l.id <> :but and l.balance > 0")
    boolean isLeftOf(UUID batch, UUID but);
}
