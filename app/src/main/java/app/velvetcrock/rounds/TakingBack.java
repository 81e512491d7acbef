package app.velvetcrock.rounds;

import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes back several lines at once: all of them, or, where one may not be taken back, none. */
@Component
public class TakingBack {

    private final Deeds deeds;
    private final PanDeeds pan;
    private final Parting parting;
    private final Clock clock;

    TakingBack(Deeds deeds, PanDeeds pan, Parting parting, Clock clock) {
        this.deeds = deeds;
        this.pan = pan;
        this.parting = parting;
        this.clock = clock;
    }

    /**
     * In the order they were done.
     *
     * @param did each what it is, of what, and by what it is taken back, parted by points: a line of a batch's log ("entry", or nothing
     *     before it), one of a making's ("pan"), or what was moved of a lot ("moved")
     */
    @Transactional
    public void all(List<String> did) {
        for (int one = did.size() - 1; one >= 0; one--) {
            String[] parts = Linear.split(did.get(one), "\\.");
            String kind = parts.length == 3 ? parts[0] : parts.length == 2 ? "entry" : "";
            UUID of = id(parts[Math.max(0, parts.length - 2)]);
            UUID what = id(parts[parts.length - 1]);
            switch (kind) {
                case "entry" -> deeds.done(
                        of, Current.doing(new Deed.TakeBack(what), UUID.randomUUID(), clock.instant(), ""));
                case "pan" -> pan.done(
                        of, Current.doing(new PanDeed.TakeBack(what), UUID.randomUUID(), clock.instant(), ""));
                case "moved" -> parting.takeBack(of, what);
                default -> throw new NotHere("that line");
            }
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
