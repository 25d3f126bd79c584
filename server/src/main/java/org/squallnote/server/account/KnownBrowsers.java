package org.squallnote.server.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.squallnote.server.secret.Seals;

/**
 * Remembers, in a sealed cookie, that somebody has signed in to an account with this browser. Wrong tries from elsewhere
 * do not slow it down; it is no proof of who sits before it, and nobody is signed in by it.
 */
@Component
class KnownBrowsers {

    private static final String COOKIE = "squallnote-browser";
    private static final String PURPOSE = "known browser";
    private static final Duration KEPT = Duration.ofDays(400);

    private final Seals seals;

    KnownBrowsers(Seals seals) {
        this.seals = seals;
    }

    /** Whether an account was signed in to with the browser of the request; answers what tells it from other browsers. */
    Optional<String> knows(UUID accountId, HttpServletRequest request) {
        return cookie(request)
                .map(value -> seals.opened(PURPOSE, value))
                .filter(text -> text.startsWith(accountId + " "));
    }

    /** Notes that an account was signed in to with this browser. */
    void remember(UUID accountId, HttpServletRequest request, HttpServletResponse response) {
        if (knows(accountId, request).isPresent()) {
            return;
        }
        ResponseCookie cookie = ResponseCookie.from(COOKIE, seals.sealed(PURPOSE, accountId + " " + UUID.randomUUID()))
                .httpOnly(true)
                .sameSite("Strict")
                .secure(request.isSecure())
                .path("/api")
                .maxAge(KEPT)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    private static Optional<String> cookie(HttpServletRequest request) {
        return Optional.ofNullable(request.getCookies())
                .map(Arrays::stream)
                .orElseGet(Stream::empty)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .findFirst();
    }
}
