package org.squallnote.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class TimeLimitTest {

    private final TimeLimit limit = new TimeLimit(Duration.ofMillis(50));

    @Test
    void whatTakesTooLongIsGivenUpAndItsThreadIsToldSo() throws InterruptedException {
        CountDownLatch told = new CountDownLatch(1);
        String answer = limit.within(
                () -> {
                    try {
                        new CountDownLatch(1).await();
                        return "never";
                    } catch (InterruptedException e) {
                        told.countDown();
                        return "too late";
                    }
                },
                () -> "the beginning");
        assertThat(answer).isEqualTo("the beginning");
        assertThat(told.await(30, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void whatFailsFailsAsItWould() {
        assertThatThrownBy(() -> limit.within(
                        () -> {
                            throw new IllegalArgumentException("not this");
                        },
                        () -> "instead"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("not this");
    }
}
