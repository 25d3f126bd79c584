package org.squallnote.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class WebhookTest {

    private static final Instant NOW = Instant.parse("2026-03-04T10:40:00Z");

    private static Webhook to(Set<String> only) {
        return new Webhook(
                UUID.randomUUID(),
                UUID.randomUUID(),
                "Board",
                "https://board.example/hook",
                new byte[0],
                new Topics(only),
                NOW,
                7,
                0,
                null,
                "",
                false,
                null);
    }

    private static Event event(String... topics) {
        return new Event(
                8,
                UUID.randomUUID(),
                NOW,
                "follow-up",
                null,
                null,
                "x",
                new Subjects(List.of()),
                new Topics(Set.of(topics)));
    }

    @Test
    void isToldOfWhatItWants() {
        assertThat(to(Set.of()).wants(event())).isTrue();
        assertThat(to(Set.of("INTAKE")).wants(event("FOLLOW_UPS", "INTAKE"))).isTrue();
        assertThat(to(Set.of("INTAKE")).wants(event("FOLLOW_UPS"))).isFalse();
    }

    @Test
    void isTriedAgainAfterWaitsThatDoubleAndStopsAfterAboutThreeDays() {
        Webhook hook = to(Set.of());
        Instant now = NOW;
        Duration before = Duration.ZERO;
        int tries = 0;
        while (!hook.stopped()) {
            hook = hook.failed("refused", false, now);
            Duration wait = Duration.between(now, hook.nextAt());
            assertThat(wait).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(Duration.ofHours(6));
            before = wait;
            now = hook.nextAt();
            tries++;
        }
        assertThat(tries).isGreaterThan(20);
        assertThat(Duration.between(NOW, now)).isBetween(Duration.ofDays(2), Duration.ofDays(5));
        Webhook again = hook.goingOn();
        assertThat(again.stopped()).isFalse();
        assertThat(again.deliveredUpTo())
                .as("the one that was not taken comes first")
                .isEqualTo(7);
        assertThat(again.failed("gone", true, NOW).stopped()).isTrue();
        assertThat(again.failed("x".repeat(900), false, NOW).problem()).hasSize(400);
    }

    /** The example of the specification. */
    @Test
    void isSignedAsTheSpecificationSays() {
        byte[] secret = Base64.getDecoder().decode("MfKQ9r8GKYqrTwjUPD8ILPZIo2LaLaSw");
        String id = "msg_p5jXN8AQM9LWM0D4loKWxJek";
        String body = "{\"test\": 2432232314}";
        String signature = WebhookSignature.of(secret, id, 1614265330, body);
        assertThat(signature).isEqualTo("v1,g0hM9SsE+OTPJTGt/tmIKtSyZlE3uFJELVlNIOLJ1OE=");
        assertThat(WebhookSignature.isRight("v1,wrong " + signature, secret, id, 1614265330, body))
                .isTrue();
        assertThat(WebhookSignature.isRight(signature, secret, id, 1614265331, body))
                .isFalse();
    }
}
