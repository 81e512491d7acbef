package app.velvetcrock.stock;

import app.velvetcrock.core.larder.LotKind;
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
    @Query(
            """
            select m from Movement m where m.entryId = :entry and m.cause <> app.velvetcrock.stock.Cause.UNDONE
            and not exists (select r from Movement r where r.reverses = m.id) order by m.lotId, m.amount""")
    List<Movement> holding(UUID entry);

    @Query("select count(m) > 0 from Movement m where m.deed = :deed")
    boolean isDeed(UUID deed);

    /** Movements of a deed that hold; what it put somewhere first, so that it is taken from there before it goes back. */
    @Query(
            """
            select m from Movement m where m.deed = :deed and m.cause <> app.velvetcrock.stock.Cause.UNDONE
            and not exists (select r from Movement r where r.reverses = m.id) order by m.amount desc, m.lotId""")
    List<Movement> ofDeed(UUID deed);

    /** What a batch used and did not give back. */
    @Query(
            """
            select m from Movement m where m.batchId = :batch and m.cause = app.velvetcrock.stock.Cause.USED
            and not exists (select r from Movement r where r.reverses = m.id)""")
    List<Movement> usedIn(UUID batch);

    /** What was strained off a batch and holds. */
    @Query(
            """
            select m from Movement m where m.batchId = :batch and m.cause = app.velvetcrock.stock.Cause.STRAINED
            and not exists (select r from Movement r where r.reverses = m.id)""")
    List<Movement> strainedOff(UUID batch);

    @Query("select m from Movement m where m.id = :id and m.lotId = :lot")
    Optional<Movement> findHere(UUID lot, UUID id);

    @Query("select count(m) > 0 from Movement m where m.reverses = :id")
    boolean isReversed(UUID id);

    /** What each lot in stock of a kind began with, in one look for all of them. */
    @Query(
            """
            select m from Movement m where m.lotId in (select l.id from Lot l where l.kind in :kinds and l.balance > 0)
            and m.cause in :causes and m.amount > 0 and not exists (select r from Movement r where r.reverses = m.id)""")
    List<Movement> openings(Collection<LotKind> kinds, Collection<Cause> causes);
}
