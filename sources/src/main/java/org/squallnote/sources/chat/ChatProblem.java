package org.squallnote.sources.chat;

import java.time.Duration;
import java.util.Optional;

/** A request to the homeserver that did not work, with a sentence for the user. */
public final class ChatProblem extends Exception {

    /** What kind of problem, as far as it changes what is done next. */
    public enum Kind {
        /** The token is no longer valid; signing in again may help. */
        SIGNED_OUT,
        /** The server wants fewer requests for a while. */
        TOO_FAST,
        /** The server understood and refuses. */
        REFUSED,
        /** No usable answer came. */
        UNREACHABLE
    }

    private final Kind kind;
    private final Optional<Duration> retryAfter;

    ChatProblem(Kind kind, String message, Optional<Duration> retryAfter) {
        super(message);
        this.kind = kind;
        this.retryAfter = retryAfter;
    }

    /** A token that is no longer valid, with nothing to sign in anew. */
    public static ChatProblem signedOutForGood() {
        return new ChatProblem(
                Kind.REFUSED,
                "The access token is no longer valid. Enter a new one in the settings of this source.",
                Optional.empty());
    }

    /** What kind of problem. */
    public Kind kind() {
        return kind;
    }

    /** How long the server asks to wait. */
    public Optional<Duration> retryAfter() {
        return retryAfter;
    }
}
