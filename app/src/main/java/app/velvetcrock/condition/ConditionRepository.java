package app.velvetcrock.condition;

import app.velvetcrock.stillroom.Current;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ConditionRepository extends JpaRepository<FoundCondition, UUID> {

    default List<FoundCondition> open() {
        return open(Current.stillroom());
    }

    @Query(
            nativeQuery = true,
            value =
                    """
            select * from condition where stillroom_id = :stillroom and answer is null order by found_at, id""")
    List<FoundCondition> open(UUID stillroom);

    @Query("select c from FoundCondition c where c.batchId = :batch order by c.foundAt, c.id")
    List<FoundCondition> ofBatch(UUID batch);

    @Query("select c from FoundCondition c where c.lotId = :lot order by c.foundAt, c.id")
    List<FoundCondition> ofLot(UUID lot);

    @Query("select c from FoundCondition c where c.source = :source and c.answer is null")
    List<FoundCondition> foundBy(UUID source);

    @Query("select c from FoundCondition c where c.answerSource = :source")
    List<FoundCondition> answeredBy(UUID source);

    @Query("select c from FoundCondition c where c.id = :id")
    Optional<FoundCondition> findHere(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from FoundCondition c where c.id = :id")
    Optional<FoundCondition> lock(UUID id);
}
