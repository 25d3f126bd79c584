package org.squallnote.server.problem;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;

/** A request that cannot be done, with a sentence that says what happened, what is safe and what to do. */
public final class Refusal extends RuntimeException {

    private final HttpStatus status;

    private final Map<String, String> fields;
    private final long retryAfterSeconds;

    private Refusal(HttpStatus status, String detail, Map<String, String> fields, long retryAfterSeconds) {
        super(detail);
        this.status = status;
        this.fields = fields;
        this.retryAfterSeconds = retryAfterSeconds;
    }

    private Refusal(HttpStatus status, String detail) {
        this(status, detail, Map.of(), 0);
    }

    /** Some fields of a form cannot be used; each with what is wrong with it. */
    public static Refusal fields(Map<String, String> fields) {
        String detail = new TreeMap<>(fields)
                .entrySet().stream()
                        .map(entry -> entry.getKey() + " " + entry.getValue())
                        .collect(Collectors.joining("; ", "This cannot be used: ", ". Nothing was changed."));
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, detail, Map.copyOf(fields), 0);
    }

    /** One field of a form cannot be used as it is. */
    public static Refusal field(String field, String detail) {
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, detail, Map.of(field, detail), 0);
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

    /** Too many attempts; the next one is possible after some seconds. */
    public static Refusal tooMany(String detail, long retryAfterSeconds) {
        return new Refusal(HttpStatus.TOO_MANY_REQUESTS, detail, Map.of(), retryAfterSeconds);
    }

    /** Something that it depends on did not answer in time. */
    public static Refusal unavailable(String detail) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, detail);
    }

    /** Signing in is needed or failed. */
    public static Refusal unauthorized(String detail) {
        return new Refusal(HttpStatus.UNAUTHORIZED, detail);
    }

    /** What is wrong with which field; empty when it is no field's. */
    public Map<String, String> fields() {
        return fields;
    }

    /** After how many seconds a repetition may work; zero when that says nothing. */
    public long retryAfterSeconds() {
        return retryAfterSeconds;
    }

    /** The status it is answered with. */
    public HttpStatus status() {
        return status;
    }
}
