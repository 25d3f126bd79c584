package org.squallnote.server.account;

import io.github.bucket4j.Bucket;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.squallnote.server.problem.Refusal;

/** Slows down guessing: ten attempts a minute for a name, forty for an address. */
@Component
class SignInLimit {

    /** When more names than this were tried, the oldest counts are dropped all at once. */
    private static final int MOST_KEYS = 20_000;

    private final Map<String, Bucket> buckets = new ConcurrentHashMap<>();

    void check(String name, String address) {
        if (buckets.size() > MOST_KEYS) {
            buckets.clear();
        }
        boolean allowed = bucket("name " + name, 10).tryConsume(1);
        allowed &= bucket("address " + address, 40).tryConsume(1);
        if (!allowed) {
            throw Refusal.tooMany("Too many attempts to sign in. Wait a minute, then try again.");
        }
    }

    void forget(String name) {
        buckets.remove("name " + name);
    }

    private Bucket bucket(String key, int attempts) {
        return buckets.computeIfAbsent(
                key,
                k -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(attempts).refillGreedy(attempts, Duration.ofMinutes(1)))
                        .build());
    }
}
