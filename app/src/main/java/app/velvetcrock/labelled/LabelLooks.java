package app.velvetcrock.labelled;

import app.velvetcrock.core.label.Decor;
import app.velvetcrock.core.label.Mark;
import app.velvetcrock.core.label.NetWeight;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how a household's labels look. */
@Service
public class LabelLooks {

    private final JdbcClient sql;
    private final Trip trip;

    LabelLooks(JdbcClient sql, Trip trip) {
        this.sql = sql;
        this.trip = trip;
    }

    /** A picture of the household's own, written anew by us. */
    public record Picture(byte[] png, int wide, int high) {}

    /**
     * How labels look, the papers of the household's own, the newest first, and its own words for the newest lots: read together,
     * since every page of labels wants all three.
     */
    public record Read(LabelLook look, List<Paper> papers, Map<UUID, LotWords.Own> words) {}

    @Transactional(readOnly = true)
    public LabelLook look() {
        return read().look();
    }

    Read read() {
        return trip.answer(question());
    }

    /** Asks for all three. */
    public Question<Read> question() {
        return new Question<>(
                "label look",
                Current.person(),
                """
                        select l.*, p.papers, w.lots, w.titles, w.words from (select 1) one
                        left join (select frame, mark, picture_wide, picture_high, own_line, made_where, region, smallest_for_sale,
                            offset_right, offset_down, paper from label_look where stillroom_id = :stillroom) l on true
                        left join (select array_agg(paper order by added_at desc) as papers from label_paper
                            where stillroom_id = :stillroom and dropped_at is null) p on true
                        left join (select array_agg(lot_id) as lots, array_agg(title) as titles, array_agg(words) as words
                            from (select * from label_words where stillroom_id = :stillroom
                                order by lot_id desc limit :most) newest) w on true""",
                Map.of("stillroom", Current.stillroom(), "most", LotWords.READ_TOGETHER),
                row -> {
                    row.next();
                    return new Read(
                            row.getString("frame") == null ? LabelLook.USUAL : look(row),
                            texts(row, "papers").stream().map(Paper::read).toList(),
                            LotWords.own(texts(row, "lots"), texts(row, "titles"), texts(row, "words")));
                });
    }

    private static List<String> texts(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return array == null
                ? List.of()
                : Arrays.stream((Object[]) array.getArray())
                        .map(Object::toString)
                        .toList();
    }

    private static LabelLook look(ResultSet row) throws SQLException {
        return new LabelLook(
                Decor.Frame.valueOf(row.getString("frame")),
                Optional.ofNullable(row.getString("mark")).map(Mark::valueOf),
                row.getObject("picture_wide") == null
                        ? Optional.empty()
                        : Optional.of(row.getDouble("picture_wide") / row.getDouble("picture_high")),
                row.getString("own_line"),
                row.getString("made_where"),
                NetWeight.Region.valueOf(row.getString("region")),
                row.getObject("smallest_for_sale") == null
                        ? Optional.empty()
                        : Optional.of(row.getDouble("smallest_for_sale")),
                row.getDouble("offset_right"),
                row.getDouble("offset_down"),
                Optional.ofNullable(row.getString("paper")));
    }

    /** Keeps all of it but the picture. */
    @Transactional
    public void keep(LabelLook look) {
        sql.sql(
                        """
                        insert into label_look (stillroom_id, frame, mark, own_line, made_where, region, smallest_for_sale,
                            offset_right, offset_down, paper)
                        values (:stillroom, :frame, :mark, :line, :where, :region, :smallest, :right, :down, :paper)
                        on conflict (stillroom_id) do update set frame = :frame, mark = :mark, own_line = :line, made_where = :where,
                            region = :region, smallest_for_sale = :smallest, offset_right = :right, offset_down = :down,
                            paper = :paper""")
                .param("stillroom", Current.stillroom())
                .param("frame", look.frame().name())
                .param("mark", look.mark().map(Enum::name).orElse(null))
                .param("line", look.line())
                .param("where", look.where())
                .param("region", look.region().name())
                .param("smallest", look.smallestForSale().orElse(null))
                .param("right", look.right())
                .param("down", look.down())
                .param("paper", look.paper().orElse(null))
                .update();
    }

    @Transactional(readOnly = true)
    public Optional<byte[]> picture() {
        List<byte[]> found = sql.sql(
                        "select picture from label_look where stillroom_id = :stillroom and picture is not null")
                .param("stillroom", Current.stillroom())
                .query(byte[].class)
                .list();
        return found.stream().findFirst();
    }

    /** Puts a picture in the mark's place, or takes it away. */
    @Transactional
    public void show(Optional<Picture> picture) {
        keep(look());
        sql.sql(
                        "update label_look set picture = :png, picture_wide = :wide, picture_high = :high where stillroom_id = :stillroom")
                .param("stillroom", Current.stillroom())
                .param("png", picture.map(Picture::png).orElse(null))
                .param("wide", picture.map(Picture::wide).orElse(null))
                .param("high", picture.map(Picture::high).orElse(null))
                .update();
    }
}
