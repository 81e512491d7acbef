package app.velvetcrock.jot;

import app.velvetcrock.arrivals.Lists;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.jot.JotReader;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.press.StrainLine;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** What a line may be about, and what it comes to: the deeds the forms send. */
@Component
class JotDesk {

    private final Batches batches;
    private final JotThings things;
    private final StrainLine straining;
    private final Stores stores;
    private final Lists lists;
    private final Households households;
    private final Clock clock;

    JotDesk(
            Batches batches,
            JotThings things,
            StrainLine straining,
            Stores stores,
            Lists lists,
            Households households,
            Clock clock) {
        this.batches = batches;
        this.things = things;
        this.straining = straining;
        this.stores = stores;
        this.lists = lists;
        this.households = households;
        this.clock = clock;
    }

    /** A deed of a batch, with where it stands in the line. */
    record Of(UUID batch, Deed deed, Instant at) {}

    List<Thing> things() {
        return things.all();
    }

    JotReader reader(List<Thing> things) {
        return reader(things, clock.instant());
    }

    /** As a line is read that was written at a moment. */
    JotReader reader(List<Thing> things, Instant written) {
        House house = households.current();
        LocalDateTime now = LocalDateTime.ofInstant(written, house.settings().zone());
        return new JotReader(things, house.settings().units(), now, lists::read);
    }

    /** When it was done; where nothing was said, when it was written. */
    Instant at(Jotted.Said said, Instant written) {
        return said.at()
                .map(there ->
                        there.atZone(households.current().settings().zone()).toInstant())
                .orElse(written);
    }

    /**
     * What a line comes to, deed by deed, each worked out when those before it are done: who writes that the herb stands out is only then
     * asked to push it under. A note behind it goes into the log as well.
     */
    List<Supplier<Of>> deeds(Jotted.Said said, Instant written) {
        UUID batch = said.thing().id();
        boolean out = standing(batch).course().standsOut();
        Instant at = at(said, written);
        List<Supplier<Of>> deeds = new ArrayList<>();
        Optional<Look> look = Fact.look(said.facts(), out);
        // What was smelled at the straining stands in its line.
        boolean looked = said.facts().stream().anyMatch(Fact.Strained.class::isInstance);
        boolean noted = said.note().isEmpty();
        for (Fact fact : said.facts()) {
            if (!(fact instanceof Fact.Looked)) {
                deeds.add(() -> new Of(batch, deed(standing(batch), fact, new With(said.note(), look, at)), at));
            } else if (!looked) {
                // All that was seen and smelled is one look.
                looked = true;
                look.ifPresent(seen -> deeds.add(() -> new Of(batch, new Deed.LookAt(Optional.empty(), seen), at)));
            }
            noted |= fact instanceof Fact.ThrownOut || fact instanceof Fact.Found;
        }
        if (!noted) {
            deeds.add(() -> new Of(batch, new Deed.Note(said.note()), at));
        }
        return deeds;
    }

    private BatchSheet standing(UUID batch) {
        BatchSheet sheet = batches.sheet(batch);
        if (sheet.course().state() != Course.State.STANDING) {
            throw new Refused("%s, jar %d, does not stand any more. Nothing was written."
                    .formatted(sheet.name(), sheet.number()));
        }
        return sheet;
    }

    /** What else was said, and when it was. */
    private record With(String note, Optional<Look> look, Instant at) {}

    private Deed deed(BatchSheet sheet, Fact fact, With with) {
        if (fact instanceof Fact.Did did) {
            return new Deed.Tend(task(sheet, did.what()));
        } else if (fact instanceof Fact.Found found) {
            return new Deed.Find(found.what(), with.note(), Optional.empty());
        } else if (fact instanceof Fact.Warm warm) {
            return new Deed.Read(Optional.empty(), warm.temperature());
        } else if (fact instanceof Fact.Turned turned) {
            return new Deed.Turn(turned.change(), turned.to());
        } else if (fact instanceof Fact.ToppedUp poured) {
            return topUp(sheet, poured);
        } else if (fact instanceof Fact.ThrownOut out) {
            return new Deed.ThrowOut(out.why(), with.note(), Optional.empty());
        } else if (fact instanceof Fact.Strained strained) {
            return straining.read(
                    sheet,
                    new StrainLine.Said(
                            strained.out(), strained.pressing(), with.look().map(Look::smell), with.at()));
        } else if (fact instanceof Fact.Noted noted) {
            return new Deed.Note(noted.note());
        }
        throw new Refused("That is not written from here yet. Nothing was written.");
    }

    private static TaskKey task(BatchSheet sheet, TaskKind kind) {
        return sheet.open().stream()
                .map(Task::key)
                .filter(key -> key.kind() == kind)
                .findFirst()
                .orElseThrow(() -> new Refused("“%s” is not asked of %s, jar %d, as it stands. Nothing was written."
                        .formatted(kind.word(), sheet.name(), sheet.number())));
    }

    /** Of its own oil, from the one bottle of it that is here. */
    private Deed topUp(BatchSheet sheet, Fact.ToppedUp poured) {
        List<Stock.OfCarrier> bottles = sheet.plan().request().carriers().parts().stream()
                .map(part -> part.carrier().kind())
                .distinct()
                .flatMap(kind -> stores.carriers(kind).stream())
                .toList();
        if (bottles.size() != 1) {
            throw new Refused(
                    bottles.isEmpty()
                            ? "No bottle of its oil is in the stores. Nothing was written."
                            : "There are %d bottles of its oil: say on the batch's page from which. Nothing was written."
                                    .formatted(bottles.size()));
        }
        Stock.OfCarrier bottle = bottles.get(0);
        Volume oil = poured.oil() instanceof Mass mass ? bottle.density().volumeOf(mass) : (Volume) poured.oil();
        if (oil.compareTo(bottle.volumeLeft()) > 0) {
            throw new Refused("Understood %s; the bottle holds %s. Nothing was written."
                    .formatted(
                            households.current().volume(oil),
                            households.current().volume(bottle.volumeLeft())));
        }
        return new Deed.TopUp(bottle.id(), oil);
    }
}
