package org.squallnote.core.access;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/** What a script may do. */
public enum Scope {
    /** Look at what the account holds, and save it. */
    READ,
    /** Make follow-ups and take in files, without seeing anything of what is there. */
    ADD,
    /** Do whatever its user can do with messages, follow-ups, threads and settings of work. */
    CHANGE;

    /** Who signs in and with what, what is connected to what, and what scripts may do: never by a script. */
    private static final Pattern NEVER = Pattern.compile(
            "/api/(?:session|sessions|account|accounts|passkeys|second-factor|installation|tokens|webhooks|feed|sources|local)"
                    + "(?:/.*)?");

    /** Of these the state may be looked at. */
    private static final Pattern MAY_BE_SEEN = Pattern.compile("/api/(?:account/export|sources)");

    /** What is asked by POST because it is long, and changes nothing. */
    private static final Pattern ASKS = Pattern.compile("/api/.*/(?:read|look|preview)");

    private static final Set<String> ADDS =
            Set.of("/api/follow-ups", "/api/take-in", "/api/files", "/api/people/cards");

    private static final List<String> LOOKS = List.of("GET", "HEAD");

    /**
     * Whether scopes are enough for a request.
     *
     * @param path without its query
     */
    public static boolean allow(Set<Scope> scopes, String method, String path) {
        boolean looks = LOOKS.contains(method)
                || (method.equals("POST") && ASKS.matcher(path).matches());
        if (NEVER.matcher(path).matches()
                && !(LOOKS.contains(method) && MAY_BE_SEEN.matcher(path).matches())) {
            return false;
        }
        if (looks) {
            return scopes.contains(READ);
        }
        boolean adds = method.equals("POST") && ADDS.contains(path);
        return scopes.contains(CHANGE) || (adds && scopes.contains(ADD));
    }
}
