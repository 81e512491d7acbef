package app.velvetcrock.upkeep;

import app.velvetcrock.batch.BatchFacts;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.book.Written;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stock.flows.Adding;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Compares what is kept beside batches with their plans and logs, and writes it anew where it differs: one command, any time. */
@Component
@Order(0)
public class Rebuild implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(Rebuild.class);

    /** Read and written together; a lock is held no longer than for these. */
    private static final int AT_ONCE = 200;

    private final BatchFacts facts;
    private final Makings makings;
    private final Written written;
    private final Adding sums;
    private final People people;
    private final TransactionTemplate together;
    private final ConfigurableApplicationContext context;
    private final String wanted;

    Rebuild(
            BatchFacts facts,
            Makings makings,
            Written written,
            Adding sums,
            People people,
            PlatformTransactionManager transactions,
            ConfigurableApplicationContext context,
            @Value("${crock.rebuild:}") String wanted) {
        this.facts = facts;
        this.makings = makings;
        this.written = written;
        this.sums = sums;
        this.people = people;
        this.together = new TransactionTemplate(transactions);
        this.context = context;
        this.wanted = wanted;
    }

    /**
     * What was found.
     *
     * @param otherwise numbers of batches whose facts stood otherwise than their plans and logs say, and what search and sums missed
     */
    public record Found(int households, int batches, List<String> otherwise) {}

    @Override
    public void run(ApplicationArguments arguments) {
        if (wanted.isEmpty()) {
            return;
        }
        boolean mend = wanted.equals("mend");
        Found found = everywhere(mend);
        LOG.info(
                "{} batches of {} households compared; {} stood otherwise{}",
                found.batches(),
                found.households(),
                found.otherwise().size(),
                found.otherwise().isEmpty() ? "" : (mend ? " and are mended: " : ": ") + found.otherwise());
        int code = !mend && !found.otherwise().isEmpty() ? 1 : 0;
        System.exit(SpringApplication.exit(context, () -> code));
    }

    /** Goes through every household's batches. */
    public Found everywhere(boolean mend) {
        int batches = 0;
        List<String> otherwise = new ArrayList<>();
        List<UUID> stillrooms = people.stillrooms();
        for (UUID stillroom : stillrooms) {
            batches += Current.as(people.anybodyOf(stillroom).orElseThrow(), () -> household(mend, otherwise));
        }
        return new Found(stillrooms.size(), batches, otherwise);
    }

    /** Batches of one kind after a number, compared. */
    private interface Compares {
        BatchFacts.Compared compare(int after, int most, boolean mend);
    }

    private int household(boolean mend, List<String> otherwise) {
        written.compare(mend).forEach(one -> otherwise.add("%s: search, %s".formatted(Current.stillroom(), one)));
        sums.compare(mend).forEach(one -> otherwise.add("%s: %s".formatted(Current.stillroom(), one)));
        return all(facts::compare, mend, otherwise) + all(makings::compare, mend, otherwise);
    }

    private int all(Compares kind, boolean mend, List<String> otherwise) {
        int seen = 0;
        int after = 0;
        while (true) {
            int from = after;
            BatchFacts.Compared some =
                    Objects.requireNonNull(together.execute(status -> kind.compare(from, AT_ONCE, mend)));
            some.otherwise().forEach(number -> otherwise.add("%s: %d".formatted(Current.stillroom(), number)));
            seen += some.batches();
            if (some.batches() < AT_ONCE) {
                return seen;
            }
            after = some.last();
        }
    }
}
