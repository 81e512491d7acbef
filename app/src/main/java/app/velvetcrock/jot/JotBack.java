package app.velvetcrock.jot;

import app.velvetcrock.arrivals.PutAway;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.rounds.TakingBack;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.LotCare;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes back all that one line did, or, where one thing of it may not be taken back, nothing. */
@Component
class JotBack {

    private final TakingBack taking;
    private final LotCare care;
    private final StoreDeeds deeds;
    private final Rack rack;
    private final PutAway putAway;
    private final Reactions reactions;
    private final Clock clock;

    JotBack(
            TakingBack taking,
            LotCare care,
            StoreDeeds deeds,
            Rack rack,
            PutAway putAway,
            Reactions reactions,
            Clock clock) {
        this.taking = taking;
        this.care = care;
        this.deeds = deeds;
        this.rack = rack;
        this.putAway = putAway;
        this.reactions = reactions;
        this.clock = clock;
    }

    /** By what something is taken back. */
    enum Kind {
        /** A line of a batch's log. */
        ENTRY,
        /** A line of a making's. */
        PAN,
        /** What was moved of a lot. */
        MOVED,
        /** All that one deed moved at the stores. */
        DEED,
        WEIGHED,
        DOWN,
        OPENED,
        /** What was brought in. */
        LOT,
        JAR,
        SKIN;

        /** As it is carried along: what it is, of what, and by what it is taken back. */
        String of(UUID of, UUID what) {
            return "%s.%s.%s".formatted(name().toLowerCase(Locale.ROOT), of, what);
        }
    }

    /** Whose skin something was written of, among what was done; absent where of nobody's. */
    static Optional<UUID> whose(List<String> did) {
        String skin = "did=skin.";
        return did.stream()
                .filter(one -> one.startsWith(skin))
                .map(one -> UUID.fromString(one.substring(skin.length(), one.lastIndexOf('.'))))
                .findFirst();
    }

    /** In the order they were done. */
    @Transactional
    public void all(List<String> did) {
        if (did.isEmpty()) {
            throw new NotHere("that line");
        }
        for (int one = did.size() - 1; one >= 0; one--) {
            String[] parts = Linear.split(did.get(one), "\\.");
            if (parts.length != 3) {
                throw new NotHere("that line");
            }
            Kind kind = Stream.of(Kind.values())
                    .filter(known -> known.name().toLowerCase(Locale.ROOT).equals(parts[0]))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("that line"));
            takeBack(kind, id(parts[1]), id(parts[2]), did.get(one));
        }
    }

    private void takeBack(Kind kind, UUID of, UUID what, String written) {
        switch (kind) {
            case ENTRY, PAN, MOVED -> taking.all(List.of(written));
            case DEED -> care.takeBack(what);
            case WEIGHED -> rack.takeBackWeighing(of, what);
            case DOWN -> rack.putBack(of);
            case OPENED -> deeds.done(
                    Current.doing(new StoreDeed.Open(of, false), UUID.randomUUID(), clock.instant(), ""));
            case LOT -> putAway.takeBack(new PutAway.Put(List.of(what), List.of()));
            case JAR -> putAway.takeBack(new PutAway.Put(List.of(), List.of(what)));
            case SKIN -> reactions.drop(what, true);
        }
    }

    private static UUID id(String written) {
        try {
            return UUID.fromString(written);
        } catch (IllegalArgumentException none) {
            throw new NotHere("that line");
        }
    }
}
