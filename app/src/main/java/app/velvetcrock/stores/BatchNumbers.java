package app.velvetcrock.stores;

import app.velvetcrock.stillroom.Current;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The numbers people know batches by, for a lot's story; the stores know nothing else of a batch. */
@Component
class BatchNumbers {

    private final JdbcClient sql;

    BatchNumbers(JdbcClient sql) {
        this.sql = sql;
    }

    Map<UUID, Integer> of(Collection<UUID> batches) {
        Map<UUID, Integer> numbers = new HashMap<>();
        if (!batches.isEmpty()) {
            sql.sql("select id, number from batch where stillroom_id = :stillroom and id in (:ids)")
                    .param("stillroom", Current.stillroom())
                    .param("ids", batches)
                    .query(row -> {
                        numbers.put(row.getObject("id", UUID.class), row.getInt("number"));
                    });
        }
        return numbers;
    }
}
