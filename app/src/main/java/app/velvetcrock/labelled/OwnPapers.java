package app.velvetcrock.labelled;

import app.velvetcrock.core.label.Paper;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The papers a household prints on: the common ones, and those it measured itself. */
@Service
public class OwnPapers {

    private static final int MOST = 40;

    private final JdbcClient sql;
    private final LabelLooks looks;
    private final Clock clock;

    OwnPapers(JdbcClient sql, LabelLooks looks, Clock clock) {
        this.sql = sql;
        this.looks = looks;
        this.clock = clock;
    }

    /** Those of its own, the newest first. */
    @Transactional(readOnly = true)
    public List<Paper> own() {
        return looks.read().papers();
    }

    /** All it can print on, its own first. */
    @Transactional(readOnly = true)
    public List<Paper> all() {
        List<Paper> all = new ArrayList<>(own());
        all.addAll(Paper.COMMON);
        return all;
    }

    /** Keeps one, under a key of its own, which is told. */
    @Transactional
    public String add(Paper paper) {
        if (own().size() >= MOST) {
            throw new Refused("%d papers of your own are kept already: take one away first.".formatted(MOST));
        }
        UUID id = UUID.randomUUID();
        Paper kept = new Paper(
                id.toString(),
                paper.sheet(),
                paper.label(),
                paper.across(),
                paper.down(),
                paper.left(),
                paper.top(),
                paper.gapX(),
                paper.gapY(),
                paper.round());
        sql.sql("insert into label_paper (stillroom_id, id, paper, added_at) values (:stillroom, :id, :paper, :at)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("paper", kept.said())
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return kept.key();
    }

    /** Takes one away, or puts it back; what was printed on it stays as it was. */
    @Transactional
    public void drop(UUID id, boolean dropped) {
        int there = sql.sql("update label_paper set dropped_at = :at where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param(
                        "at",
                        Optional.of(dropped)
                                .filter(gone -> gone)
                                .map(gone -> Timestamp.from(clock.instant()))
                                .orElse(null))
                .update();
        if (there == 0) {
            throw new NotHere("that paper");
        }
    }
}
