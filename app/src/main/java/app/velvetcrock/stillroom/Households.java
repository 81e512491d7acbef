package app.velvetcrock.stillroom;

import app.velvetcrock.web.PerRequest;
import java.time.Clock;
import java.util.Optional;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The current household's settings. */
@Service
public class Households {

    private final StillroomRepository stillrooms;
    private final Clock clock;
    private final AccountRepository accounts;

    Households(StillroomRepository stillrooms, AccountRepository accounts, Clock clock) {
        this.clock = clock;
        this.stillrooms = stillrooms;
        this.accounts = accounts;
    }

    @Transactional(readOnly = true)
    public House current() {
        return PerRequest.of("house", Current.person(), this::read);
    }

    private House read() {
        SignedIn person = Current.person();
        StillroomRepository.Seen seen = stillrooms
                .seenBy(person.stillroom(), person.account(), person.passwordVersion())
                .orElseThrow(SignedIn.Over::new);
        Stillroom stillroom = seen.stillroom();
        return new House(
                stillroom.settings(),
                stillroom.version(),
                seen.display(),
                stillroom.demoSince(),
                Optional.of(clock.instant().atZone(stillroom.settings().zone()).toLocalDate()));
    }

    /** Tells whether slow heat may run on while nobody is there or awake. */
    @Transactional(readOnly = true)
    public boolean heatAlone() {
        return mine().heatAlone();
    }

    @Transactional
    public void letHeatAlone(boolean may) {
        mine().letHeatRunAlone(may);
    }

    /**
     * Lets only one at a time in this household past this point until the transaction ends: for numbers given out in order. Whoever
     * waited here while they were let go does not go on.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void oneAtATime() {
        stillrooms.lock(Current.stillroom()).orElseThrow();
        read();
    }

    /** Writes settings read at {@code version}; fails when somebody changed them since. */
    @Transactional
    public void change(HouseSettings settings, int version, Display display) {
        Stillroom stillroom = mine();
        if (stillroom.version() != version) {
            throw new ObjectOptimisticLockingFailureException(Stillroom.class, stillroom.id());
        }
        stillroom.set(settings);
        accounts.findById(Current.person().account()).orElseThrow().setDisplay(display);
    }

    private Stillroom mine() {
        return stillrooms.findById(Current.stillroom()).orElseThrow();
    }
}
