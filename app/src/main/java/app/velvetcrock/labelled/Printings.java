package app.velvetcrock.labelled;

import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.plans.Json;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.StringTokenizer;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What was printed, for good: a label is asked about years later. */
@Service
public class Printings {

    /** Without those that are taken for one another. */
    private static final String SIGNS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int LONG = 8;
    private static final int NEWEST = 60;
    private static final int LONGEST_NAME = 400;
    private static final int LONGEST_WRONG = 600;
    private static final String COLUMNS =
            "select p.id, p.job, p.code, p.kind, p.about, p.copies, p.paper, p.first_at, p.offset_right, "
                    + "p.offset_down, p.for_sale, p.name, p.day, p.wrong, p.said::text, p.printed_at, p.account_id, p.taken_back_at "
                    + "from label_printing p where p.stillroom_id = :stillroom ";

    private final JdbcClient sql;
    private final Json json;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Printings(JdbcClient sql, Json json, Clock clock) {
        this.sql = sql;
        this.json = json;
        this.clock = clock;
    }

    /** A label to be written down as printed; {@code paper} null for what was written by hand. */
    public record New(
            Printed.Of of,
            int copies,
            @Nullable Paper paper,
            Printed.Start start,
            boolean sale,
            Truth truth,
            List<LabelLine> lines,
            String code) {}

    /** A code nobody has yet; it is drawn before it is printed, since it stands on the label. */
    public String newCode() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LONG; i++) {
            code.append(SIGNS.charAt(random.nextInt(SIGNS.length())));
        }
        return code.toString();
    }

    /** A code as somebody typed it, or as an address holds it; absent where it cannot be one. */
    public static Optional<String> code(String typed) {
        StringBuilder code = new StringBuilder();
        typed.toUpperCase(Locale.ROOT)
                .chars()
                .filter(sign -> !Character.isWhitespace(sign) && sign != '-')
                .limit(LONG + 1L)
                .forEach(sign -> code.append((char) sign));
        return code.length() == LONG && code.chars().allMatch(sign -> SIGNS.indexOf(sign) >= 0)
                ? Optional.of(code.toString())
                : Optional.empty();
    }

    /** Writes down what was printed at once, in its order. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID keep(List<New> labels) {
        UUID job = UUID.randomUUID();
        for (int place = 0; place < labels.size(); place++) {
            New label = labels.get(place);
            Truth truth = label.truth();
            sql.sql(
                            "insert into label_printing (stillroom_id, id, job, place, code, kind, about, copies, paper, first_at, "
                                    + "offset_right, offset_down, for_sale, by_hand, name, day, wrong, said, printed_at, account_id) "
                                    + "values (:stillroom, :id, :job, :place, :code, :kind, :about, :copies, :paper, :first, "
                                    + ":right, :down, :sale, :hand, :name, :day, :wrong, cast(:said as jsonb), :at, :account)")
                    .param("stillroom", Current.stillroom())
                    .param("id", UUID.randomUUID())
                    .param("job", job)
                    .param("place", place)
                    .param("code", label.code())
                    .param("kind", label.of().kind().name())
                    .param("about", label.of().id())
                    .param("copies", label.copies())
                    .param("paper", label.paper() == null ? null : label.paper().said())
                    .param("first", label.start().first())
                    .param("right", label.start().right())
                    .param("down", label.start().down())
                    .param("sale", label.sale())
                    .param("hand", label.paper() == null)
                    .param("name", name(truth))
                    .param("day", truth.day().orElse(null))
                    .param("wrong", wrong(truth))
                    .param("said", json.write(label.lines()))
                    .param("at", Timestamp.from(clock.instant()))
                    .param("account", Current.person().account())
                    .update();
        }
        return job;
    }

    private static String name(Truth truth) {
        return truth.name().substring(0, Math.min(LONGEST_NAME, truth.name().length()));
    }

    private static String wrong(Truth truth) {
        StringJoiner wrong = new StringJoiner(" ");
        truth.wrong().forEach(wrong::add);
        return wrong.toString().substring(0, Math.min(LONGEST_WRONG, wrong.length()));
    }

    /** All of one printing, in its order. */
    @Transactional(readOnly = true)
    public List<Printed> job(UUID job) {
        List<Printed> all = read("and p.job = :job order by p.place", Map.of("job", job));
        if (all.isEmpty()) {
            throw new NotHere("that printing");
        }
        return all;
    }

    @Transactional(readOnly = true)
    public Optional<Printed> find(String code) {
        return read("and p.code = :code", Map.of("code", code)).stream().findFirst();
    }

    /** The last that were printed. */
    @Transactional(readOnly = true)
    public List<Printed> newest() {
        return read("and p.taken_back_at is null order by p.at_number desc limit :most", Map.of("most", NEWEST));
    }

    /** The last label of each of these, by what it is on; what has none is left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Printed> last(Collection<UUID> about) {
        Map<UUID, Printed> last = new HashMap<>();
        if (!about.isEmpty()) {
            read(
                            "and p.about in (:about) and p.kind in ('BATCH', 'LOT') and p.taken_back_at is null "
                                    + "and p.at_number = (select max(q.at_number) from label_printing q "
                                    + "where q.stillroom_id = p.stillroom_id and q.about = p.about "
                                    + "and q.kind in ('BATCH', 'LOT') and q.taken_back_at is null)",
                            Map.of("about", about))
                    .forEach(one -> last.put(one.of().id(), one));
        }
        return last;
    }

    /** Says that it was not printed after all, or that it was. */
    @Transactional
    public void takeBack(UUID job, boolean gone) {
        int there = sql.sql(
                        "update label_printing set taken_back_at = :at where stillroom_id = :stillroom and job = :job")
                .param("stillroom", Current.stillroom())
                .param("job", job)
                .param("at", gone ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("that printing");
        }
    }

    private List<Printed> read(String where, Map<String, ?> with) {
        return sql.sql(COLUMNS + where)
                .param("stillroom", Current.stillroom())
                .params(with)
                .query((row, at) -> printed(row))
                .list();
    }

    private Printed printed(ResultSet row) throws SQLException {
        List<String> wrong = new ArrayList<>();
        StringTokenizer words = new StringTokenizer(row.getString("wrong"));
        while (words.hasMoreTokens()) {
            wrong.add(words.nextToken());
        }
        return new Printed(
                row.getObject("id", UUID.class),
                row.getObject("job", UUID.class),
                row.getString("code"),
                new Printed.Of(Printed.Kind.valueOf(row.getString("kind")), row.getObject("about", UUID.class)),
                row.getInt("copies"),
                Optional.ofNullable(row.getString("paper")).map(Paper::read),
                new Printed.Start(row.getInt("first_at"), row.getDouble("offset_right"), row.getDouble("offset_down")),
                row.getBoolean("for_sale"),
                new Truth(row.getString("name"), Optional.ofNullable(row.getObject("day", LocalDate.class)), wrong),
                List.of(json.read(row.getString("said"), LabelLine[].class)),
                row.getTimestamp("printed_at").toInstant(),
                row.getObject("account_id", UUID.class),
                row.getTimestamp("taken_back_at") != null);
    }
}
