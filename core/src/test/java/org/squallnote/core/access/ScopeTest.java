package org.squallnote.core.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.access.Scope.ADD;
import static org.squallnote.core.access.Scope.CHANGE;
import static org.squallnote.core.access.Scope.READ;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScopeTest {

    @ParameterizedTest
    @CsvSource({
        "GET, /api/follow-ups, READ",
        "HEAD, /api/record, READ",
        "GET, /api/account/export, READ",
        "GET, /api/sources, READ",
        "POST, /api/take-in/look, READ",
        "POST, /api/capture/read, READ",
        "POST, /api/follow-ups, ADD",
        "POST, /api/files, ADD",
        "POST, /api/take-in, ADD",
        "POST, /api/follow-ups/1/state, CHANGE",
        "DELETE, /api/recipes/1, CHANGE",
        "PUT, /api/working-time, CHANGE",
    })
    void eachRequestNeedsOneScope(String method, String path, Scope needed) {
        for (Scope scope : Scope.values()) {
            boolean enough = scope == needed || (needed == ADD && scope == CHANGE);
            assertThat(Scope.allow(Set.of(scope), method, path)).as("%s", scope).isEqualTo(enough);
        }
        assertThat(Scope.allow(Set.of(), method, path)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "GET, /api/session",
        "POST, /api/tokens",
        "GET, /api/tokens",
        "DELETE, /api/webhooks/1",
        "PUT, /api/account",
        "PUT, /api/account/password",
        "POST, /api/sources/mail/1",
        "GET, /api/sources/mail/1",
        "POST, /api/passkeys",
        "POST, /api/feed",
        "PUT, /api/installation",
        "POST, /api/accounts/1/look",
    })
    void whoSignsInAndWhatIsConnectedIsNeverForScripts(String method, String path) {
        assertThat(Scope.allow(EnumSet.allOf(Scope.class), method, path)).isFalse();
    }

    @Test
    void aTokenEndsAndItsUseIsNotedNowAndThen() {
        Instant now = Instant.parse("2026-03-04T10:40:00Z");
        AccessToken token = new AccessToken(
                UUID.randomUUID(),
                UUID.randomUUID(),
                "x",
                "h",
                new Scopes(Set.of(READ, CHANGE)),
                now,
                now.plusSeconds(10),
                now);
        assertThat(token.holds(now.plusSeconds(9))).isTrue();
        assertThat(token.holds(now.plusSeconds(10))).isFalse();
        assertThat(token.isUseToBeNoted(now.plusSeconds(60))).isFalse();
        assertThat(token.isUseToBeNoted(now.plus(Duration.ofMinutes(5)))).isTrue();
    }
}
