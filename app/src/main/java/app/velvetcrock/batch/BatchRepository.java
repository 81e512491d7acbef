package app.velvetcrock.batch;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, UUID> {

    @Query("select b from Batch b where b.id = :id")
    Optional<Batch> findHere(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from Batch b where b.id = :id")
    Optional<Batch> lock(UUID id);

    @Query("select coalesce(max(b.number), 0) + 1 from Batch b")
    int nextNumber();

    /** Batches neither strained nor thrown out, whose start holds; the core says of each what that comes to. */
    @Query(
            """
            select b from Batch b where not exists (
                select e from BatchEntry e where e.batchId = b.id
                and e.kind in (app.velvetcrock.batch.BatchEntry.Kind.STRAINED, app.velvetcrock.batch.BatchEntry.Kind.DISCARDED)
                and not exists (select t from BatchEntry t where t.correctsId = e.id))
            and exists (
                select e from BatchEntry e where e.batchId = b.id and e.kind = app.velvetcrock.batch.BatchEntry.Kind.CHARGED
                and not exists (select t from BatchEntry t where t.correctsId = e.id))
            order by b.number""")
    List<Batch> unstrained();

    /** Batches that stand, and some others besides. */
    @Query(
            """
            select b from Batch b where b.id in :ids or (not exists (
                select e from BatchEntry e where e.batchId = b.id
                and e.kind in (app.velvetcrock.batch.BatchEntry.Kind.STRAINED, app.velvetcrock.batch.BatchEntry.Kind.DISCARDED)
                and not exists (select t from BatchEntry t where t.correctsId = e.id))
            and exists (
                select e from BatchEntry e where e.batchId = b.id and e.kind = app.velvetcrock.batch.BatchEntry.Kind.CHARGED
                and not exists (select t from BatchEntry t where t.correctsId = e.id)))
            order by b.number""")
    List<Batch> unstrainedAnd(Collection<UUID> ids);

    /** Batches strained or thrown out, and that holds; the newest first. */
    @Query(
            """
            select b from Batch b where exists (
                select e from BatchEntry e where e.batchId = b.id
                and e.kind in (app.velvetcrock.batch.BatchEntry.Kind.STRAINED, app.velvetcrock.batch.BatchEntry.Kind.DISCARDED)
                and not exists (select t from BatchEntry t where t.correctsId = e.id))
            order by b.number desc""")
    List<Batch> finished(Limit limit);

    @Query("select b from Batch b where b.id in :ids order by b.number")
    List<Batch> among(Collection<UUID> ids);
}
