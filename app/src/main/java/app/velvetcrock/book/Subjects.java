package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.book.AsMade;
import app.velvetcrock.core.book.AsPoured;
import app.velvetcrock.core.book.Fact;
import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.kinship.Contents;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Batches and makings as they are laid beside each other. */
@Component
class Subjects {

    private final Batches batches;
    private final Makings makings;
    private final Contents contents;
    private final Reactions reactions;
    private final Households households;
    private final Clock clock;

    Subjects(
            Batches batches,
            Makings makings,
            Contents contents,
            Reactions reactions,
            Households households,
            Clock clock) {
        this.contents = contents;
        this.reactions = reactions;
        this.batches = batches;
        this.makings = makings;
        this.households = households;
        this.clock = clock;
    }

    /**
     * One of them.
     *
     * @param like herbs in it, or the kind of thing it is
     * @param sheet of an infusion; null for a making
     */
    record Subject(
            UUID id,
            int number,
            String name,
            LocalDate began,
            String href,
            List<Fact> facts,
            List<String> like,
            @Nullable BatchSheet sheet) {

        Subject with(Fact outcome) {
            return new Subject(
                    id,
                    number,
                    name,
                    began,
                    href,
                    Stream.concat(facts.stream(), Stream.of(outcome)).toList(),
                    like,
                    sheet);
        }

        /** "batch 3". */
        String called() {
            return "batch " + number;
        }
    }

    /** Those of some ids, in the order they are asked for, each once; refused where one is not here. */
    @Transactional(readOnly = true)
    List<Subject> of(Collection<UUID> ids) {
        House house = households.current();
        Map<UUID, Subject> found = new HashMap<>();
        batches.among(ids).forEach(sheet -> found.put(sheet.id(), infusion(sheet, house)));
        makings.among(ids.stream().filter(id -> !found.containsKey(id)).toList())
                .forEach(sheet -> found.put(sheet.id(), making(sheet, house.wording())));
        List<Subject> all = new ArrayList<>();
        for (UUID id : ids) {
            all.add(Optional.ofNullable(found.get(id)).orElseThrow(() -> new NotHere("that batch")));
        }
        Map<UUID, String> skins = skins(ids);
        return all.stream()
                .map(one -> Optional.ofNullable(skins.get(one.id()))
                        .map(skin -> one.with(Fact.of(Fact.Part.OUTCOME, "on the skin", skin)))
                        .orElse(one))
                .toList();
    }

    /** How skins took what came of each: "clear 1, nothing 2", each use once it counts. */
    private Map<UUID, String> skins(Collection<UUID> ids) {
        Map<UUID, UUID> cameOf = contents.cameOf(ids);
        Map<UUID, Map<Strength, Long>> counts = new HashMap<>();
        reactions.ofLots(cameOf.keySet()).stream()
                .filter(Reactions.Kept::counts)
                .forEach(kept -> counts.computeIfAbsent(
                                Objects.requireNonNull(
                                        cameOf.get(kept.used().lot().orElseThrow())),
                                key -> new TreeMap<>(Comparator.reverseOrder()))
                        .merge(kept.used().strength(), 1L, Long::sum));
        Map<UUID, String> words = new HashMap<>();
        counts.forEach((batch, of) -> words.put(
                batch,
                of.entrySet().stream()
                        .map(one -> "%s %d".formatted(one.getKey().word(), one.getValue()))
                        .collect(Collectors.joining(", "))));
        return words;
    }

    private static Subject infusion(BatchSheet sheet, House house) {
        return new Subject(
                sheet.id(),
                sheet.number(),
                sheet.name(),
                house.dayOf(sheet.course().chargedAt()),
                "/batch/" + sheet.id(),
                new AsMade(
                                sheet.plan(),
                                sheet.course(),
                                sheet.log(),
                                sheet.forecast(),
                                Facts.keepsUntil(sheet.log()),
                                house.wording())
                        .facts(),
                sheet.plan().request().herbKeys(),
                sheet);
    }

    private Subject making(Makings.Sheet sheet, Wording wording) {
        return new Subject(
                sheet.id(),
                sheet.number(),
                sheet.name(),
                sheet.begunOn(households.current(), clock.instant()),
                "/pan/" + sheet.id(),
                new AsPoured(sheet.plan(), sheet.holding(), wording).facts(),
                List.of(sheet.plan().made().kind()),
                null);
    }
}
