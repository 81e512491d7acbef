package app.velvetcrock.condition;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What a finding asks beside its answer: to tell whoever has any of it, and once to smell the bottle it came from. */
@Component
class Asking {

    private final FollowUps followUps;
    private final Kinship kinship;

    Asking(FollowUps followUps, Kinship kinship) {
        this.followUps = followUps;
        this.kinship = kinship;
    }

    /** Something was found just now; about what was thrown out nobody is told twice. */
    void upon(FoundCondition found) {
        FollowUps.Reason why = new FollowUps.Reason(found.id, found.source, found.because());
        if (found.travels && found.kind.asksWhoHasIt()) {
            tellOf(reachOf(found.subject()), why);
        }
        if (found.kind.asksUpwards()) {
            kinship.pouredFrom(found.subject()).forEach(bottle -> followUps.smell(bottle, found.foundAt, why));
        }
    }

    /** Everything ever made of something. */
    Reach reachOf(Subject subject) {
        UUID any = UUID.randomUUID();
        return kinship.madeOf(List.of(new Kinship.Origin(any, subject.batch(), subject.lot())))
                .getOrDefault(any, Reach.NOTHING);
    }

    void tellOf(Reach reach, FollowUps.Reason why) {
        kinship.goneOf(reach.lots().keySet()).forEach(gone -> followUps.tell(gone, why));
    }

    void leftAnyway(Optional<Told> told, String back, Kinship.Gone gone) {
        String why = told.map(one ->
                        one.at(one.subject().batch(), one.subject().lot()).head())
                .orElse(back);
        followUps.tell(gone, new FollowUps.Reason(told.map(Told::id).orElse(null), null, why));
    }
}
