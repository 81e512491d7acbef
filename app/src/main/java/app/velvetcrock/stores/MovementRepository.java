package app.velvetcrock.stores;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MovementRepository extends JpaRepository<Movement, UUID> {

    @Query("select m from Movement m where m.lotId = :lot order by m.recordedAt, m.id")
    List<Movement> ofLot(UUID lot);

    /** Movements of a log's entry that hold: neither reversed nor reversing. */
    @Query("""
            select m from Movement m where m.entryId = :entry and m.cause <> app.velvetcrock.stores.Cause.UNDONE
            and not exists (select r from Movement r where r.reverses = m.id) order by m.lotId""")
    List<Movement> holding(UUID entry);

    @Query("select m from Movement m where m.id = :id and m.lotId = :lot")
    Optional<Movement> findHere(UUID lot, UUID id);

    @Query("select count(m) > 0 from Movement m where m.reverses = :id")
    boolean isReversed(UUID id);

    /** What each lot in stock of a kind began with, in one look for all of them. */
    @Query("""
            select m from Movement m where m.lotId in (select l.id from Lot l where l.kind = :kind and l.balance > 0)
            and m.cause in :causes and m.amount > 0 and not exists (select r from Movement r where r.reverses = m.id)""")
    List<Movement> openings(LotKind kind, Collection<Cause> causes);
}
