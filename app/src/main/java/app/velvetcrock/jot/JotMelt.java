package app.velvetcrock.jot;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.hob.MeltLine;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.parting.Parting;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Refused;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Does what a line says of a melt. */
@Component
class JotMelt {

    private final Makings makings;
    private final MeltLine line;
    private final PanDeeds deeds;

    JotMelt(Makings makings, MeltLine line, PanDeeds deeds) {
        this.makings = makings;
        this.line = line;
        this.deeds = deeds;
    }

    /** What of a sentence is a deed of its own: how hot it was when it left the heat is said with that. */
    static boolean isDeed(Jotted.Said said, Fact fact) {
        return !(fact instanceof Fact.Warm && said.facts().stream().anyMatch(AtThePan.OffHeat.class::isInstance));
    }

    String does(Jotted.Said said, Fact fact, Parting.Once once) {
        Makings.Sheet sheet = makings.sheet(said.thing().id());
        return JotBack.Kind.PAN.of(
                sheet.id(),
                deeds.done(sheet.id(), Current.doing(deed(sheet, said, fact), once.key(), once.at(), once.typed())));
    }

    private PanDeed deed(Makings.Sheet sheet, Jotted.Said said, Fact fact) {
        if (fact instanceof AtThePan.Stepped stepped) {
            return new PanDeed.Did(stepped.step());
        } else if (fact instanceof AtThePan.Tested tested) {
            return new PanDeed.Test(tested.felt());
        } else if (fact instanceof AtThePan.Added added) {
            return line.correct(sheet, added.part().key(), added.more());
        } else if (fact instanceof AtThePan.StirredIn in) {
            return new PanDeed.StirIn(in.part().key(), false);
        } else if (fact instanceof AtThePan.OffHeat off) {
            return new PanDeed.OffHeat(warm(said).orElse(MakingCourse.CLEAR), off.where());
        } else if (fact instanceof Fact.Warm warm) {
            return new PanDeed.Read(warm.temperature(), Optional.empty());
        } else if (fact instanceof AtThePan.Haze) {
            return new PanDeed.Haze();
        } else if (fact instanceof AtThePan.Poured poured) {
            return line.pour(sheet, poured.count());
        }
        throw new Refused("That is not written from here. Nothing was written.");
    }

    private static Optional<Temperature> warm(Jotted.Said said) {
        return said.facts().stream()
                .filter(Fact.Warm.class::isInstance)
                .map(fact -> ((Fact.Warm) fact).temperature())
                .findFirst();
    }
}
