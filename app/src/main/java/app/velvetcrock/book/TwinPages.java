package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.book.Twins;
import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.core.book.Twins.Sense;
import app.velvetcrock.core.book.Twins.Verdict;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.learned.TwinPairs;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Twins worded for their pages, and whether they may be judged. */
@Component
class TwinPages {

    private static final double SCALE = 0.9;

    private final Batches batches;
    private final Households households;

    TwinPages(Batches batches, Households households) {
        this.batches = batches;
        this.households = households;
    }

    /** A pair in the list. */
    record Row(String href, String title, String asked, String state, String mark) {}

    /** Two that could be twins. */
    record Offer(UUID one, UUID other, String words, @Nullable String question, String why) {}

    /** One of the two. */
    record One(UUID id, String href, String called, String what, JarDrawing drawing, String state) {}

    /** What was said, once opened: of each sense, whose cup it was. */
    record Told(String asked, String answer) {}

    /**
     * A pair's page.
     *
     * @param hindrance why it cannot be judged now; empty where it can
     */
    record Page(
            UUID id,
            String title,
            String lead,
            One first,
            One second,
            String hindrance,
            boolean judged,
            boolean opened,
            List<Told> told) {}

    Twins.Pair asked(BatchSheet one, BatchSheet other) {
        return Twins.pair(one.plan().request(), other.plan().request(), new Twins.Planned(days(one), days(other)));
    }

    /** As its plan stands now: a changed plan counts. */
    private static long days(BatchSheet sheet) {
        return ChronoUnit.DAYS.between(
                sheet.plan().request().circumstances().start(), sheet.plan().strainOn());
    }

    /** Why two cannot be judged blind now. */
    Optional<String> hindrance(TwinPairs.Pair pair) {
        BatchSheet first = batches.sheet(pair.first());
        BatchSheet second = batches.sheet(pair.second());
        List<BatchSheet> both = List.of(first, second);
        return both.stream()
                .flatMap(sheet -> unwell(sheet).stream())
                .findFirst()
                .or(() -> both.stream().flatMap(sheet -> notYet(sheet).stream()).findFirst())
                .or(() -> oils(first).equals(oils(second))
                        ? Optional.empty()
                        : Optional.of("They are of two different oils, and those cannot be judged blind."));
    }

    private static Optional<String> unwell(BatchSheet sheet) {
        return sheet.conditions().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        "Something is wrong with batch %d: it is not put on anybody's skin.".formatted(sheet.number()));
    }

    private static Optional<String> notYet(BatchSheet sheet) {
        return switch (sheet.course().state()) {
            case STRAINED -> Optional.empty();
            case DISCARDED -> Optional.of(
                    "Batch %d was thrown out: there is nothing left to judge.".formatted(sheet.number()));
            default -> Optional.of("Batch %d is not strained yet.".formatted(sheet.number()));
        };
    }

    private static String oils(BatchSheet sheet) {
        return sheet.plan().request().carriers().words();
    }

    List<Row> rows(List<TwinPairs.Pair> all) {
        Map<UUID, BatchSheet> sheets = sheets(all);
        return all.stream()
                .map(pair -> {
                    BatchSheet first = sheet(sheets, pair.first());
                    BatchSheet second = sheet(sheets, pair.second());
                    return new Row(
                            TwinController.PLACE + "/" + pair.id(),
                            "%s: batch %d beside batch %d".formatted(first.name(), first.number(), second.number()),
                            pair.question().asked(),
                            state(pair, first, second),
                            isReady(pair, first, second) ? "due" : "");
                })
                .toList();
    }

    private Map<UUID, BatchSheet> sheets(List<TwinPairs.Pair> all) {
        Set<UUID> ids = new LinkedHashSet<>();
        all.forEach(pair -> {
            ids.add(pair.first());
            ids.add(pair.second());
        });
        Map<UUID, BatchSheet> sheets = new HashMap<>();
        batches.among(ids).forEach(sheet -> sheets.put(sheet.id(), sheet));
        return sheets;
    }

    private static BatchSheet sheet(Map<UUID, BatchSheet> sheets, UUID id) {
        return Optional.ofNullable(sheets.get(id)).orElseThrow(() -> new NotHere("that batch"));
    }

    private static boolean isReady(TwinPairs.Pair pair, BatchSheet first, BatchSheet second) {
        return pair.said().isEmpty()
                && first.course().state() == Course.State.STRAINED
                && second.course().state() == Course.State.STRAINED;
    }

    private String state(TwinPairs.Pair pair, BatchSheet first, BatchSheet second) {
        Optional<Verdict> smell = pair.verdict(Sense.SMELL);
        if (smell.isPresent()) {
            return "opened: %s by its smell".formatted(whose(pair.question(), smell.orElseThrow()));
        }
        if (pair.said().isPresent()) {
            return "judged; the cups are not turned over yet";
        }
        if (isReady(pair, first, second)) {
            return "both are strained: judge them";
        }
        House house = households.current();
        LocalDate last =
                first.strainOn(house).isAfter(second.strainOn(house)) ? first.strainOn(house) : second.strainOn(house);
        return "to be judged from " + house.date(last);
    }

    private static String whose(Question question, Verdict verdict) {
        return switch (verdict) {
            case FIRST -> question.first();
            case SECOND -> question.second();
            case NEITHER -> "no difference";
        };
    }

    /** What pairs of each question come to, over the years: by their smell. */
    List<String> together(List<TwinPairs.Pair> all) {
        List<String> words = new ArrayList<>();
        for (Question question : Question.values()) {
            List<Verdict> verdicts = all.stream()
                    .filter(pair -> pair.question() == question)
                    .flatMap(pair -> pair.verdict(Sense.SMELL).stream())
                    .toList();
            if (!verdicts.isEmpty()) {
                words.add("%s %s.".formatted(question.asked(), Twins.together(question, verdicts)));
            }
        }
        return words;
    }

    /** Standing batches that were charged alike on one day. */
    List<Offer> offers(List<TwinPairs.Pair> kept) {
        List<BatchSheet> standing = batches.standing();
        List<Offer> offers = new ArrayList<>();
        for (int i = 0; i < standing.size(); i++) {
            for (int j = i + 1; j < standing.size(); j++) {
                BatchSheet one = standing.get(i);
                BatchSheet other = standing.get(j);
                boolean already = kept.stream().anyMatch(pair -> pair.isOf(one.id()) && pair.isOf(other.id()));
                if (!already && isOneCharge(one, other)) {
                    Twins.Pair pair = asked(one, other);
                    offers.add(new Offer(
                            one.id(),
                            other.id(),
                            "%s: batch %d and batch %d".formatted(one.name(), one.number(), other.number()),
                            pair.question().map(Question::asked).orElse(null),
                            pair.why()));
                }
            }
        }
        return offers;
    }

    private static boolean isOneCharge(BatchSheet one, BatchSheet other) {
        return one.plan().request().herbNames().equals(other.plan().request().herbNames())
                && oils(one).equals(oils(other))
                && one.plan()
                        .request()
                        .circumstances()
                        .start()
                        .equals(other.plan().request().circumstances().start());
    }

    Page page(TwinPairs.Pair pair) {
        House house = households.current();
        BatchSheet first = batches.sheet(pair.first());
        BatchSheet second = batches.sheet(pair.second());
        List<Told> told = new ArrayList<>();
        for (Sense sense : Sense.values()) {
            pair.verdict(sense)
                    .ifPresent(verdict -> told.add(new Told(sense.asked(), whose(pair.question(), verdict))));
        }
        // In the order of their numbers: which has more of it must not be read off the page.
        boolean firstIsLower = first.number() < second.number();
        One a = one(first, pair.question().first(), house);
        One b = one(second, pair.question().second(), house);
        return new Page(
                pair.id(),
                "%s %s".formatted("Twins:", lower(pair.question().asked())),
                "%s, one charge in two jars: %s %s."
                        .formatted(
                                first.name(),
                                "batch " + first.number(),
                                pair.question().told()),
                firstIsLower ? a : b,
                firstIsLower ? b : a,
                hindrance(pair).orElse(""),
                pair.said().isPresent(),
                pair.said().flatMap(TwinPairs.Said::firstStoodLeft).isPresent(),
                told);
    }

    private static One one(BatchSheet sheet, String what, House house) {
        return new One(
                sheet.id(),
                "/batch/" + sheet.id(),
                "batch " + sheet.number(),
                what,
                sheet.drawing(SCALE),
                sheet.course().state() == Course.State.STANDING
                        ? sheet.tagWord() + ", strained " + house.date(sheet.strainOn(house))
                        : sheet.course()
                                .strainedOn()
                                .map(day -> "strained " + house.date(day))
                                .orElse("thrown out"));
    }

    private static String lower(String words) {
        return words.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
