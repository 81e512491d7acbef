package app.velvetcrock.core.rounds;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.rounds.Round.Stop;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class RoundTest {

    /** Whatever the order they are told in: by number, suspects last, each that wants somebody met once, and then it is over. */
    @Test
    void everyJarIsMetOnceAndSuspectsLast() {
        Random random = new Random(20261201);
        for (int trial = 0; trial < 300; trial++) {
            List<Stop> jars = new ArrayList<>();
            for (int number = 1; number <= random.nextInt(9); number++) {
                jars.add(new Stop(new UUID(0, number), number, random.nextInt(4) == 0, random.nextInt(3) == 0));
            }
            Collections.shuffle(jars, random);
            long wanting = jars.stream().filter(one -> !one.isDone()).count();
            List<Stop> met = new ArrayList<>();
            Set<UUID> done = new HashSet<>();
            Optional<Stop> here = new Round(jars).after(Optional.empty());
            while (here.isPresent() && met.size() <= jars.size()) {
                met.add(here.get());
                done.add(here.get().batch());
                Round now = new Round(jars.stream()
                        .map(one -> new Stop(
                                one.batch(), one.number(), one.isSuspect(), one.isDone() || done.contains(one.batch())))
                        .toList());
                here = now.after(Optional.of(here.get().batch()));
            }
            assertThat(met).hasSize((int) wanting).doesNotHaveDuplicates();
            assertThat(met.stream().map(Stop::isSuspect).toList()).isSorted();
            assertThat(met.stream().filter(one -> !one.isSuspect()).map(Stop::number))
                    .isSorted();
        }
    }

    @Test
    void besideGoesOverDoneOnesAndEndsAtTheEnds() {
        Round round = new Round(List.of(jar(2, true), jar(1, false), jar(3, false)));
        assertThat(round.beside(new UUID(0, 1), 1)).map(Stop::number).contains(2);
        assertThat(round.beside(new UUID(0, 1), -1)).isEmpty();
        assertThat(round.beside(new UUID(0, 3), 1)).isEmpty();
        assertThat(round.beside(new UUID(0, 9), 1)).isEmpty();
        assertThat(round.after(Optional.of(new UUID(0, 3)))).map(Stop::number).contains(1);
        assertThat(round.done()).isEqualTo(1);
        assertThat(new Round(List.of()).after(Optional.empty())).isEmpty();
    }

    private static Stop jar(int number, boolean done) {
        return new Stop(new UUID(0, number), number, false, done);
    }
}
