package org.squallnote.server.problem;

import org.springframework.http.HttpStatus;

/** A request that cannot be done, with a sentence that says what happened, what is safe and what to do. */
public final class Refusal extends RuntimeException {

    private final HttpStatus status;

    private Refusal(HttpStatus status, String detail) {
        super(detail);
        this.status = status;
    }

    /** There is no such thing, or it belongs to somebody else; which of the two is not told. */
    public static Refusal notFound(String what) {
        return new Refusal(HttpStatus.NOT_FOUND, "There is no such " + what + ". It may have been removed elsewhere.");
    }

    /** It has changed since it was read. */
    public static Refusal conflict(String detail) {
        return new Refusal(HttpStatus.CONFLICT, detail);
    }

    /** What was given cannot be used. */
    public static Refusal invalid(String detail) {
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, detail);
    }

    /** Not for this account. */
    public static Refusal forbidden(String detail) {
        return new Refusal(HttpStatus.FORBIDDEN, detail);
    }

    /** Too many attempts. */
    public static Refusal tooMany(String detail) {
        return new Refusal(HttpStatus.TOO_MANY_REQUESTS, detail);
    }

    /** Signing in is needed or failed. */
    public static Refusal unauthorized(String detail) {
        return new Refusal(HttpStatus.UNAUTHORIZED, detail);
    }

    /** The status it is answered with. */
    public HttpStatus status() {
        return status;
    }
}
