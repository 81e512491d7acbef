package app.velvetcrock.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<BatchEntry, UUID> {

    @Query("select e from BatchEntry e where e.batchId in :batches order by e.happenedAt, e.recordedAt, e.id")
    List<BatchEntry> ofBatches(Collection<UUID> batches);
}
