package app.velvetcrock.hob;

import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was typed on one of a making's small forms; each uses a few of these. */
record MakingForm(
        @Nullable UUID key,
        @Nullable String when,
        @Nullable String felt,
        @Nullable String of,
        @Nullable String amount,
        @Nullable String temperature,
        @Nullable String where,
        @Nullable String touch,
        @Nullable String into,
        @Nullable String count,
        @Nullable String each,
        @Nullable String andInto,
        @Nullable String andCount,
        @Nullable String words,
        @Nullable String anyway,
        @Nullable String bring,
        @Nullable List<String> faults) {

    MakingForm {
        andInto = andInto == null ? "" : andInto;
        andCount = andCount == null ? "" : andCount;
        faults = faults == null ? List.of() : faults;
    }

    static MakingForm empty() {
        return new MakingForm(null, "", "", "", "", "", "", "", "", "", "", "", "", "", "", "", List.of());
    }

    /** What stands in the pouring before anything is typed: as it was planned. */
    static MakingForm pouring(Optional<MakingPlan.Into> planned) {
        return pouring(planned, planned.map(one -> String.valueOf(one.count())).orElse(""));
    }

    /** So many of what was planned. */
    static MakingForm pouring(Optional<MakingPlan.Into> planned, String count) {
        String into = planned.flatMap(MakingPlan.Into::lot).map(UUID::toString).orElse("");
        return new MakingForm(null, "", "", "", "", "", "", "", into, count, "", "", "", "", "", "", List.of());
    }

    /** What stands in the correction before anything is typed: what is proposed. */
    static MakingForm adding(MakingPage.@Nullable Fix fix) {
        String of = fix == null ? "" : fix.of();
        String amount = fix == null ? "" : fix.amount();
        return new MakingForm(null, "", "", of, amount, "", "", "", "", "", "", "", "", "", "", "", List.of());
    }

    UUID keyOrNew() {
        return key == null ? UUID.randomUUID() : key;
    }

    /** When it was done; now where nothing is said, or nothing that can be read. */
    Instant at(Fields fields, House house, Instant now) {
        return fields.moment("when", when, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
    }

    /** What can be melted in besides: what is in it, and wax. */
    static List<Fields.Option> meltable(Formula formula) {
        return Correcting.meltable(formula)
                .map(stuff -> new Fields.Option(stuff.key(), stuff.name()))
                .distinct()
                .toList();
    }
}
