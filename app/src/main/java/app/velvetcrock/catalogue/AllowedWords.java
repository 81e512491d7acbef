package app.velvetcrock.catalogue;

import app.velvetcrock.core.label.Claims;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words that claim too much in many places, and which of them the household's own rules allow. */
@Service
public class AllowedWords {

    private final Claims claims = Claims.shipped();
    private final JdbcClient sql;
    private final Clock clock;

    AllowedWords(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** What a text claims too much. */
    @Transactional(readOnly = true)
    public List<Claims.Claim> claims(String text) {
        return claims.in(text, Set.of()).isEmpty() ? List.of() : claims.in(text, allowed());
    }

    /** What a product's name claims too much; a plant in it that sounds so is asked about. */
    @Transactional(readOnly = true)
    public List<Claims.Claim> ofName(String name) {
        return claims.inName(name, Set.of()).isEmpty() ? List.of() : claims.inName(name, allowed());
    }

    private Set<String> allowed() {
        return new TreeSet<>(sql.sql("select stem from allowed_word where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .query(String.class)
                .list());
    }

    /** Says that the household's rules allow a word, or that they do not; a claim to heal, cure or treat is never allowed. */
    @Transactional
    public void allow(String stem, boolean allowed) {
        if (allowed && !claims.isAnswerable(stem)) {
            throw new Refused("No household's rules allow “%s”: it makes a medicine of it everywhere.".formatted(stem));
        }
        if (allowed) {
            sql.sql("insert into allowed_word (stillroom_id, stem, allowed_at) values (:stillroom, :stem, :at) "
                            + "on conflict do nothing")
                    .param("stillroom", Current.stillroom())
                    .param("stem", stem)
                    .param("at", Timestamp.from(clock.instant()))
                    .update();
        } else {
            sql.sql("delete from allowed_word where stillroom_id = :stillroom and stem = :stem")
                    .param("stillroom", Current.stillroom())
                    .param("stem", stem)
                    .update();
        }
    }
}
