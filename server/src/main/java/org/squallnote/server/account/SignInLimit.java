package org.squallnote.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.HexFormat;
import org.springframework.stereotype.Component;
import org.squallnote.server.problem.Refusal;

/**
 * Slows down guessing. Wrong passwords are counted for a name from one network; after a few, each try has to wait longer
 * than the one before, half a minute at most, and the page waits by itself. Tries from elsewhere do not count, so nobody
 * can lock somebody else out, and a browser that has signed in before is counted for itself.
 */
@Component
class SignInLimit {

    /** So many names and networks are counted at once; of more, those that were seen least are forgotten. */
    private static final int MOST_KEYS = 50_000;

    private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);
    private static final int FREE_TRIES = 5;

    /** A network from which many names are tried waits for all of them. */
    private static final int FREE_TRIES_OF_A_NETWORK = 40;

    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);

    private record Wrong(int tries, Instant notBefore) {

        Wrong again(Instant now, int free) {
            int wrong = tries + 1;
            return new Wrong(wrong, wrong < free ? now : now.plus(wait(wrong - free)));
        }

        private static Duration wait(int step) {
            Duration wait = Duration.ofSeconds(1L << Math.min(step, 6));
            return wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT;
        }
    }

    private final Clock clock;
    private final Cache<String, Wrong> wrong = Caffeine.newBuilder()
            .maximumSize(MOST_KEYS)
            .expireAfterWrite(FORGOTTEN_AFTER)
            .build();

    SignInLimit(Clock clock) {
        this.clock = clock;
    }

    /**
     * Whose tries count together.
     *
     * @param name the name that is tried
     * @param from a known browser, else the network
     * @param network the network, whatever name is tried from it; empty for a known browser
     */
    record Tried(String name, String from, String network) {

        static Tried byBrowser(String name, String browser) {
            return new Tried(name, browser, "");
        }

        static Tried byNetwork(String name, String address) {
            String network = networkOf(address);
            return new Tried(name, network, network);
        }

        private String key() {
            return name + " from " + from;
        }
    }

    /** Refuses what comes before its wait is over, with the seconds that are left. */
    void check(Tried tried) {
        Instant now = clock.instant();
        Instant own = notBefore(tried.key(), now);
        Instant all = tried.network().isEmpty() ? now : notBefore(tried.network(), now);
        Instant until = own.isAfter(all) ? own : all;
        if (until.isAfter(now)) {
            long seconds = Duration.between(now, until).toSeconds() + 1;
            throw Refusal.tooMany(
                    "The password was wrong several times. The next try is possible in " + seconds
                            + (seconds == 1 ? " second." : " seconds.") + " Nothing is locked.",
                    seconds);
        }
    }

    private Instant notBefore(String key, Instant now) {
        Wrong before = wrong.getIfPresent(key);
        return before == null ? now : before.notBefore();
    }

    /** Counts a wrong password. */
    void wasWrong(Tried tried) {
        count(tried.key(), FREE_TRIES);
        if (!tried.network().isEmpty()) {
            count(tried.network(), FREE_TRIES_OF_A_NETWORK);
        }
    }

    private void count(String key, int free) {
        Instant now = clock.instant();
        wrong.asMap().merge(key, new Wrong(1, now), (before, first) -> before.again(now, free));
    }

    /** The password was right. */
    void wasRight(Tried tried) {
        wrong.invalidate(tried.key());
    }

    /** The addresses that one subscriber usually has: 256 of the fourth version, a /64 of the sixth. */
    private static String networkOf(String address) {
        try {
            byte[] bytes = InetAddress.getByName(address).getAddress();
            return HexFormat.of().formatHex(Arrays.copyOf(bytes, bytes.length == 4 ? 3 : 8));
        } catch (UnknownHostException e) {
            return address;
        }
    }
}
