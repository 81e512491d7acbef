package app.velvetcrock.book;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Hit;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.StringJoiner;
import java.util.StringTokenizer;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * All that was written down, searched by PostgreSQL's own words and, where these find little, by its trigrams. The table is kept by the
 * database in the transaction of each deed; {@link #compare} holds it against its sources.
 */
@Service
public class Written {

    private static final int MOST = 40;

    /** With fewer found by their words, slips of the pen are forgiven. */
    private static final int LITTLE = 5;

    private static final int WORDS = 8;

    /** What stands around a word that was found; no form lets them in. */
    private static final char BEGINS = '\u0002';

    private static final char ENDS = '\u0003';

    private static final String FOUND =
            "select w.source, w.id, w.about, w.sort, w.head, ts_headline('simple', w.words, to_tsquery('simple', :words), '"
                    + "StartSel=" + BEGINS + ",StopSel=" + ENDS
                    + ",MaxWords=24,MinWords=12,MaxFragments=2,FragmentDelimiter=\" … \"') as words, w.happened_at from ";

    private final JdbcClient sql;

    Written(JdbcClient sql) {
        this.sql = sql;
    }

    /** Where something was written. */
    public enum Source {
        NOTE,
        BATCH,
        LOT,
        MOVED,
        LABEL,
        PERSON,
        REACTION,
        RECIPE,
        PLAN,
        FORMULA,
        WRONG,
        STALL,
        GIFTS,
        KIT,
        TO_BUY
    }

    /** Some words, found or around what was found. */
    public record Piece(String words, boolean isFound) {}

    /**
     * What was found.
     *
     * @param about what it leads to, {@code sort} of what sort that is
     */
    public record Found(Source source, UUID id, UUID about, String sort, String head, List<Piece> pieces, Instant at) {}

    /** What holds all the words, or their beginnings, the newest first; then what comes near to them. */
    @Transactional(readOnly = true)
    public List<Found> find(String typed) {
        String words = words(typed);
        if (words.isEmpty()) {
            return List.of();
        }
        List<Found> found = new ArrayList<>(sql.sql(FOUND + "written w where w.stillroom_id = :stillroom and w.lexemes "
                        + "@@ to_tsquery('simple', :words) order by w.happened_at desc, w.id limit " + MOST)
                .param("stillroom", Current.stillroom())
                .param("words", words)
                .query((row, at) -> hit(row))
                .list());
        if (found.size() < LITTLE) {
            sql.sql("select set_config('pg_trgm.word_similarity_threshold', :least, true)")
                    .param("least", String.valueOf(Hit.LEAST))
                    .query(String.class)
                    .single();
            sql.sql(FOUND + "(select * from written n where n.stillroom_id = :stillroom and :typed <% n.said "
                            + "and not n.lexemes @@ to_tsquery('simple', :words) "
                            + "order by word_similarity(:typed, n.said) desc, n.happened_at desc, n.id limit " + MOST
                            + ") w")
                    .param("stillroom", Current.stillroom())
                    .param("words", words)
                    .param("typed", typed.strip().toLowerCase(Locale.ROOT))
                    .query((row, at) -> hit(row))
                    .list()
                    .forEach(found::add);
        }
        return found;
    }

    /** Every word by its beginning, all of them; signs that mean something to the database are none of it. */
    private static String words(String typed) {
        StringBuilder plain = new StringBuilder();
        typed.codePoints()
                .map(sign -> Character.isLetterOrDigit(sign) ? sign : ' ')
                .limit(200)
                .forEach(plain::appendCodePoint);
        StringTokenizer each = new StringTokenizer(plain.toString());
        StringJoiner words = new StringJoiner(" & ");
        for (int i = 0; i < WORDS && each.hasMoreTokens(); i++) {
            words.add(each.nextToken() + ":*");
        }
        return words.toString();
    }

    private static Found hit(ResultSet row) throws SQLException {
        return new Found(
                Source.valueOf(row.getString("source")),
                row.getObject("id", UUID.class),
                row.getObject("about", UUID.class),
                row.getString("sort"),
                row.getString("head"),
                pieces(row.getString("words")),
                row.getTimestamp("happened_at").toInstant());
    }

    private static List<Piece> pieces(String marked) {
        List<Piece> pieces = new ArrayList<>();
        int at = 0;
        while (at < marked.length()) {
            boolean found = marked.charAt(at) == BEGINS;
            int from = found ? at + 1 : at;
            int end = marked.indexOf(found ? ENDS : BEGINS, from);
            int to = end < 0 ? marked.length() : end;
            if (to > from) {
                pieces.add(new Piece(marked.substring(from, to), found));
            }
            at = found && end >= 0 ? end + 1 : Math.max(to, from);
        }
        return pieces;
    }

    /** How many of the household's stand otherwise than their sources say; written anew where that is wanted. */
    @Transactional
    public List<String> compare(boolean mend) {
        List<String> otherwise = sql.sql(
                        """
                        with should as (select * from written_source where stillroom_id = :stillroom),
                            is_there as (select stillroom_id, source, id, about, sort, head, words, happened_at from written
                                where stillroom_id = :stillroom),
                            other as ((table should except table is_there) union (table is_there except table should))
                        select distinct source || ' ' || id from other order by 1""")
                .param("stillroom", Current.stillroom())
                .query(String.class)
                .list();
        if (mend) {
            otherwise.forEach(one -> {
                int space = one.indexOf(' ');
                sql.sql("select write_anew(:stillroom, :source, :id)")
                        .param("stillroom", Current.stillroom())
                        .param("source", one.substring(0, space))
                        .param("id", UUID.fromString(one.substring(space + 1)))
                        .query((row, at) -> true)
                        .list();
            });
        }
        return otherwise;
    }
}
