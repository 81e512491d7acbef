package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.HeatWatch;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.hours.WarmUps;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Refused;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Does what is said of a batch or of one oil of it: notes, what is wrong with it, that it was thrown out, and corrections of all that. */
@Component
class Sayings implements Deeds.Hands {

    private final BatchLog log;
    private final Conditions conditions;
    private final HeatWatch heat;
    private final Oils oils;
    private final Ledger ledger;
    private final WarmUps warmUps;

    Sayings(BatchLog log, Conditions conditions, HeatWatch heat, Oils oils, Ledger ledger, WarmUps warmUps) {
        this.log = log;
        this.conditions = conditions;
        this.heat = heat;
        this.oils = oils;
        this.ledger = ledger;
        this.warmUps = warmUps;
    }

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.Note.class, this::note);
        work.on(Deed.Find.class, this::find);
        work.on(Deed.Answer.class, this::answer);
        work.on(Deed.ThrowOut.class, this::throwOut);
        work.on(Deed.Correct.class, this::correct);
    }

    private UUID note(BatchSheet sheet, Doing<Deed.Note> doing) {
        return log.write(sheet.id(), new Line.Noted(doing.deed().words()), doing);
    }

    /** What is wrong holds it back until that is answered. */
    private UUID find(BatchSheet sheet, Doing<Deed.Find> doing) {
        Deed.Find deed = doing.deed();
        Subject subject = deed.lot().map(lot -> subject(sheet, oils.find(lot))).orElseGet(sheet::subject);
        UUID entry = log.write(sheet.id(), new Line.Found(deed.what(), deed.words(), deed.lot()), doing);
        conditions.found(List.of(deed.what()), subject, new Finding(doing.at(), entry, deed.words()));
        return entry;
    }

    private UUID answer(BatchSheet sheet, Doing<Deed.Answer> doing) {
        Deed.Answer deed = doing.deed();
        UUID entry = log.write(
                sheet.id(), new Line.Answered(deed.what(), deed.dealtWith(), deed.words(), deed.lot()), doing);
        conditions.answer(deed.condition(), deed.dealtWith(), new Finding(doing.at(), entry, deed.words()));
        return entry;
    }

    private static Subject subject(BatchSheet sheet, Stock.OfOil oil) {
        return new Subject(sheet.id(), oil.id(), "%s, batch %d".formatted(oil.name(), sheet.number()));
    }

    /** A jar thrown out is free again; cause and lesson are kept. */
    private UUID throwOut(BatchSheet sheet, Doing<Deed.ThrowOut> doing) {
        Ruin ruin = doing.deed().ruin();
        Optional<Stock.OfOil> oil = doing.deed().lot().map(oils::find);
        if (oil.filter(one -> one.left().toMilligrams() == 0).isPresent()) {
            throw new Refused("Nothing of that oil is left, so there is nothing to throw out.");
        }
        UUID entry = log.write(
                sheet.id(),
                new Line.Discarded(ruin, doing.deed().lesson(), doing.deed().lot()),
                doing);
        oil.ifPresentOrElse(
                one -> ledger.take(
                        one.id(), one.left(), new Ledger.Why(Cause.DISCARDED, sheet.id(), entry, doing.at())),
                () -> conditions.thrownOut(sheet.id(), entry));
        conditions.thrownOutFor(
                ruin,
                oil.map(one -> subject(sheet, one)).orElseGet(sheet::subject),
                sheet.plan().isMoistFood(),
                Finding.by(entry, doing.at()));
        return entry;
    }

    /** What a line found goes with it; what it should have said is found in its place. */
    private UUID correct(BatchSheet sheet, Doing<Deed.Correct> doing) {
        Deed.Correct deed = doing.deed();
        UUID entry = log.write(sheet.id(), new Line.Corrected(deed.entry(), deed.now()), doing);
        conditions.takenBack(deed.entry());
        warmUps.forget(deed.entry());
        if (deed.now() instanceof Line.Looked looked) {
            conditions.found(looked.look().conditions(), sheet.subject(), Finding.by(entry, doing.at()));
        }
        heat.keepHeat(sheet.id(), entry);
        return entry;
    }
}
