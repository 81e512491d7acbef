package app.velvetcrock.tend;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Answers what is wrong with something made, as a line of its making's log. */
@Service
class MadeAnswers {

    private final Makings makings;
    private final Conditions conditions;

    MadeAnswers(Makings makings, Conditions conditions) {
        this.makings = makings;
        this.conditions = conditions;
    }

    @Transactional
    public UUID ofMaking(UUID batch, Doing<Deed.Answer> doing) {
        Deed.Answer deed = doing.deed();
        makings.locked(batch);
        UUID entry =
                makings.write(batch, new Line.Answered(deed.what(), deed.dealtWith(), deed.words(), deed.lot()), doing);
        conditions.answer(deed.condition(), deed.dealtWith(), new Finding(doing.at(), entry, deed.words()));
        return entry;
    }

    @Transactional
    public void takeBack(UUID batch, UUID line, Doing<?> doing) {
        makings.locked(batch);
        makings.takeBack(batch, line, doing);
    }
}
