package app.velvetcrock.front;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.front.DoorController.Answered;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class AnswersTest {

    private static final Answered ANSWERED =
            new Answered(new Fields(House.usual().reader()), null);

    private final Answers answers = new Answers();

    @Test
    void oneIsWorkedOutAtATimeTenWaitAndTheRestAreToldToComeAgain() throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(30);
        CountDownLatch go = new CountDownLatch(1);
        AtomicInteger at = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        AtomicInteger begun = new AtomicInteger();
        List<CompletableFuture<Answers.Said>> all = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            String sentence = "wish " + i;
            all.add(CompletableFuture.supplyAsync(
                    () -> answers.of(sentence, () -> {
                        most.accumulateAndGet(at.incrementAndGet(), Math::max);
                        begun.incrementAndGet();
                        try {
                            go.await(3, TimeUnit.SECONDS);
                        } catch (InterruptedException stopped) {
                            Thread.currentThread().interrupt();
                        }
                        at.decrementAndGet();
                        return ANSWERED;
                    }),
                    many));
        }
        while (all.stream().filter(CompletableFuture::isDone).count() < 19) {
            Thread.onSpinWait();
        }
        go.countDown();
        long answered =
                all.stream().filter(one -> one.join().answered() != null).count();
        many.shutdownNow();
        assertThat(answered).isEqualTo(11);
        assertThat(most.get()).isEqualTo(1);
        assertThat(begun.get()).isEqualTo(11);
    }

    @Test
    void theSameSentenceIsWorkedOutOnce() {
        AtomicInteger times = new AtomicInteger();
        for (int i = 0; i < 5; i++) {
            assertThat(answers.of("salve", () -> {
                                times.incrementAndGet();
                                return ANSWERED;
                            })
                            .answered())
                    .isSameAs(ANSWERED);
        }
        assertThat(times.get()).isEqualTo(1);
    }
}
