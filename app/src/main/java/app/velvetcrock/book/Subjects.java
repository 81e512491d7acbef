package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.book.AsMade;
import app.velvetcrock.core.book.AsPoured;
import app.velvetcrock.core.book.Fact;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Batches and makings as they are laid beside each other. */
@Component
class Subjects {

    private final Batches batches;
    private final Makings makings;
    private final Households households;
    private final Clock clock;

    Subjects(Batches batches, Makings makings, Households households, Clock clock) {
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
        return all;
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
                sheet.plan().request().herbs().stream()
                        .map(herb -> herb.kind().key())
                        .toList(),
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
