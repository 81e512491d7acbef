package app.velvetcrock.stores;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MovementRepository extends JpaRepository<Movement, UUID> {

    @Query("select m from Movement m where m.lotId = :lot order by m.recordedAt, m.id")
    List<Movement> ofLot(UUID lot);

    /** Movements of a batch that hold: neither reversed nor reversing. */
    @Query("""
            select m from Movement m where m.batchId = :batch and m.cause = :cause
            and not exists (select r from Movement r where r.reverses = m.id) order by m.lotId""")
    List<Movement> holding(UUID batch, Cause cause);

    /** What each lot in stock of a kind began with, in one look for all of them. */
    @Query("""
            select m from Movement m where m.lotId in (select l.id from Lot l where l.kind = :kind and l.balance > 0)
            and m.cause = :cause and not exists (select r from Movement r where r.reverses = m.id)""")
    List<Movement> openings(LotKind kind, Cause cause);
}
