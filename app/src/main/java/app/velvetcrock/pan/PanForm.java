package app.velvetcrock.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.sentence.WishForm;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/**
 * The Pan's sentence as typed.
 *
 * @param much "12", "300 g", "all", "17 people"
 * @param into a container of the stores
 * @param was the kind its rows were filled in for; of another kind they are filled in anew
 * @param share of the wax, where it is said
 * @param firm F wanted, where it is said
 * @param bought what a bought one of the same size costs
 * @param with what is melted besides oil and wax
 * @param add what is stirred in
 * @param wish whose second half this is; absent where it was begun here
 */
public record PanForm(
        @Nullable UUID key,
        @Nullable String much,
        @Nullable String into,
        @Nullable String kind,
        @Nullable String was,
        @Nullable String oil,
        @Nullable String wax,
        @Nullable String share,
        @Nullable String firm,
        @Nullable String name,
        @Nullable String use,
        @Nullable String room,
        @Nullable String bought,
        @Nullable List<Row> with,
        @Nullable List<Row> add,
        @Nullable WishForm wish) {

    /** Before the key of a kind, where no lot is named. */
    public static final String KIND = PanThing.KIND;

    static final int MOST_ROWS = 6;

    /** One thing and how much of it. */
    public record Row(@Nullable String of, @Nullable String share) {

        static final Row EMPTY = new Row("", "");

        boolean isEmpty() {
            return text(of).isEmpty() && text(share).isEmpty();
        }
    }

    /** Rows as they were sent, those left empty and what is more than any pan takes dropped. */
    static List<Row> said(@Nullable List<Row> rows) {
        return rows == null
                ? List.of()
                : rows.stream()
                        .filter(row -> row != null && !row.isEmpty())
                        .limit(MOST_ROWS)
                        .toList();
    }

    public static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    PanForm filled(String anotherKind, List<Row> rows) {
        return new PanForm(
                key,
                much,
                into,
                anotherKind,
                anotherKind,
                oil,
                wax,
                share,
                firm,
                name,
                use,
                room,
                bought,
                rows,
                said(add),
                wish);
    }

    /** With another wax and other butters, to the same firmness; rows beside an unchanged kind stay as they are said. */
    PanForm swapped(@Nullable String thatWax, String thatFirmness, List<Row> rows) {
        return new PanForm(
                key, much, into, kind, kind, oil, thatWax, "", thatFirmness, name, use, room, bought, rows, add, wish);
    }

    /** The sentence that makes the same again, as it was really made; what its lots were is meant by its kind where they are gone. */
    public static PanForm again(MakingCourse course, PanShelves shelves) {
        MakingPlan plan = course.plan();
        double whole = course.formula().total().grams();
        List<Row> rows = new ArrayList<>();
        String oilLot = "";
        String waxLot = "";
        String waxShare = "";
        for (Formula.Part part : course.formula().parts()) {
            String percent = Decimals.upTo(Math.round(1000 * part.mass().grams() / whole) / 10.0, 1) + " %";
            String kind = KIND + part.stuff().key();
            if (oilLot.isEmpty() && part.stuff().role() == Formula.Role.OIL) {
                oilLot = plan.lotOf(part.stuff()).map(UUID::toString).orElse(kind);
            } else if (waxLot.isEmpty() && part.stuff().role() == Formula.Role.WAX) {
                waxLot = kind;
                waxShare = percent;
            } else {
                rows.add(new Row(kind, percent));
            }
        }
        List<Row> stirred = PanRows.stirred(
                shelves,
                course.stirred().stream()
                        .map(one -> new PanRows.Stirring(
                                one.addition().key(),
                                one.lot(),
                                one.addition().mass(),
                                one.addition().drops().isPresent()))
                        .toList());
        return new PanForm(
                null,
                plan.into()
                        .map(into -> String.valueOf(into.count()))
                        .orElse(Decimals.upTo(plan.formula().total().grams(), 1) + " g"),
                plan.into().flatMap(MakingPlan.Into::lot).map(UUID::toString).orElse(""),
                plan.made().kind(),
                plan.made().kind(),
                oilLot,
                waxLot,
                waxShare,
                "",
                plan.made().name(),
                plan.use().name(),
                "",
                "",
                rows,
                stirred,
                null);
    }

    /** What was planned backwards, begun with the oil that came of it; its butters are filled in as its kind has them. */
    static PanForm wanted(String much, String into, Kind kind, String oil, String firm) {
        return new PanForm(null, much, into, kind.key(), null, oil, "", "", firm, "", "", "", "", null, null, null);
    }

    /** The second half of a wish, made of the oil that is to come of it. */
    public static PanForm wished(String much, String into, MixPlan mix, List<Row> rows, WishForm wish) {
        String kind = mix.read().kind().key();
        return new PanForm(
                null,
                much,
                into,
                kind,
                kind,
                mix.read().oil().name(),
                "",
                "",
                "",
                "",
                mix.read().use().name(),
                "",
                "",
                rows,
                null,
                wish);
    }

    /** The wish it is the second half of. */
    Optional<WishForm> wished() {
        return Optional.ofNullable(wish).filter(one -> !one.isEmpty());
    }

    PanForm withoutFirmness() {
        return new PanForm(key, much, into, kind, was, oil, wax, "", "", name, use, room, bought, with, add, wish);
    }

    PanForm much(String other) {
        return new PanForm(
                key, other, into, kind, was, oil, wax, share, firm, name, use, room, bought, with, add, wish);
    }

    PanForm from(String thatOil, String thatContainer) {
        return new PanForm(
                key,
                much,
                thatContainer,
                kind,
                was,
                thatOil,
                wax,
                share,
                firm,
                name,
                use,
                room,
                bought,
                with,
                add,
                wish);
    }

    /** The address of the sentence: only what is said. For whom is in it only where that is no child and nobody pregnant. */
    public String address() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("much", text(much));
        all.put("into", text(into));
        all.put("kind", text(kind));
        all.put("was", text(was));
        all.put("oil", text(oil));
        all.put("wax", text(wax));
        all.put("share", text(share));
        all.put("firm", text(firm));
        all.put("name", text(name));
        all.put("use", Use.ADULT_SKIN.name().equals(text(use)) ? "" : text(use));
        all.put("room", text(room));
        all.put("bought", text(bought));
        put(all, "with", said(with));
        put(all, "add", said(add));
        WishForm.put(all, "wish.", wish);
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/pan");
        all.forEach((field, value) -> {
            if (!value.isEmpty()) {
                address.queryParam(
                        UriUtils.encode(field, java.nio.charset.StandardCharsets.UTF_8),
                        UriUtils.encode(value, java.nio.charset.StandardCharsets.UTF_8));
            }
        });
        return address.build(true).toUriString();
    }

    private static void put(Map<String, String> all, String list, List<Row> rows) {
        for (int i = 0; i < rows.size(); i++) {
            all.put("%s[%d].of".formatted(list, i), text(rows.get(i).of()));
            all.put("%s[%d].share".formatted(list, i), text(rows.get(i).share()));
        }
    }

    /** Rows to show: what is said, and one to go on. */
    static List<Row> shown(@Nullable List<Row> rows) {
        List<Row> shown = new ArrayList<>(said(rows));
        if (shown.size() < MOST_ROWS) {
            shown.add(Row.EMPTY);
        }
        return shown;
    }
}
