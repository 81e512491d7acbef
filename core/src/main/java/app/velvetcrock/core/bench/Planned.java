package app.velvetcrock.core.bench;

import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.planning.BatchPlan;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan, in one vessel or divided over several, and all ways there are.
 *
 * @param bath the pan its jar can stand in, of a way with a water bath
 * @param late ways that cannot be made by the day it is needed, by their key, with by how much
 * @param timing the plan in time; absent where only the charge was asked
 * @param lacksBath true where it wants a water bath and no pot listed is large enough
 * @param wanted what it was worked back from; absent where herb and oil are said
 */
public record Planned(
        List<ChargePart> parts,
        List<Choice> ways,
        Optional<Bath> bath,
        Map<String, String> late,
        Optional<Timing> timing,
        Optional<WantedOil> wanted,
        boolean lacksBath) {

    public Planned outOf(Optional<WantedOil> want) {
        return new Planned(parts, ways, bath, late, timing, want, lacksBath);
    }

    /** The first of its vessels; all stand alike. */
    public ChargePart first() {
        return parts.get(0);
    }

    public BatchPlan plan() {
        return first().plan();
    }

    public OfJar jar() {
        return first().jar();
    }

    public boolean isSplit() {
        return parts.size() > 1;
    }

    public Mass herbInAll() {
        return parts.stream().map(part -> part.plan().charge().herbs().mass()).reduce(Mass.ZERO, Mass::plus);
    }

    public Volume oilInAll() {
        return parts.stream().map(part -> part.plan().charge().oil()).reduce(Volume.ZERO, Volume::plus);
    }

    public Volume backInAll() {
        return parts.stream().map(part -> part.plan().yield().expected()).reduce(Volume.ZERO, Volume::plus);
    }
}
