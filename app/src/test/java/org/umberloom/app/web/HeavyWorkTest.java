package org.umberloom.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.umberloom.core.limit.Patience;

class HeavyWorkTest {
    @Test
    void whatTakesTooLongEndsAndMakesRoomForTheNext() {
        HeavyWork heavy = new HeavyWork(Duration.ofMillis(50));
        assertThatThrownBy(() -> heavy.read(() -> {
                    while (true) Patience.ask();
                }))
                .isInstanceOf(HeavyWork.TooLong.class);
        assertThat(heavy.read(() -> "next")).isEqualTo("next");
    }

    @Test
    void itIsSaid() {
        assertThat(new Problems().of(new HeavyWork.TooLong(Duration.ofSeconds(30))))
                .satisfies(problem -> {
                    assertThat(problem.getStatus()).isEqualTo(400);
                    assertThat(problem.getDetail()).contains("longer than 30 seconds", "Nothing was changed");
                });
    }

    @Test
    void oneReadsAtATimeAndAnArchiveThatGoesOutSlowlyKeepsNobodyFromReading() throws Exception {
        HeavyWork heavy = new HeavyWork();
        CountDownLatch taken = new CountDownLatch(1);
        CountDownLatch slow = new CountDownLatch(1);
        CompletableFuture<Void> archive = CompletableFuture.runAsync(() -> heavy.write(() -> {
            taken.countDown();
            try {
                slow.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }));
        assertThat(taken.await(20, TimeUnit.SECONDS)).isTrue();
        AtomicInteger now = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        CompletableFuture.allOf(IntStream.range(0, 6)
                        .mapToObj(i -> CompletableFuture.runAsync(() -> heavy.read(() -> {
                            most.accumulateAndGet(now.incrementAndGet(), Math::max);
                            Thread.onSpinWait();
                            return now.decrementAndGet();
                        })))
                        .toArray(CompletableFuture[]::new))
                .get(20, TimeUnit.SECONDS);
        assertThat(most).hasValue(1);
        slow.countDown();
        archive.get(20, TimeUnit.SECONDS);
    }
}
