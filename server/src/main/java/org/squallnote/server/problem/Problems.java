package org.squallnote.server.problem;

import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.squallnote.core.StaleVersionException;
import org.squallnote.store.content.DamagedContentException;

/** Turns exceptions into problem details, in one place. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {

    /** The member of a problem that says what is wrong with which field of a form. */
    static final String FIELDS = "fields";

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** What the application refuses. */
    @ExceptionHandler(Refusal.class)
    public ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(refusal.status(), String.valueOf(refusal.getMessage()));
        if (!refusal.fields().isEmpty()) {
            problem.setProperty(FIELDS, refusal.fields());
        }
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(refusal.status());
        if (refusal.retryAfterSeconds() > 0) {
            answer.header(HttpHeaders.RETRY_AFTER, String.valueOf(refusal.retryAfterSeconds()));
        }
        return answer.body(problem);
    }

    /** A change based on an old version. */
    @ExceptionHandler(StaleVersionException.class)
    public ProblemDetail stale(StaleVersionException stale) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT,
                "This was changed in another window meanwhile. Nothing was overwritten; look at the current state and decide again.");
    }

    /** Something with this identifier is there already, from an earlier attempt or somebody else's. */
    @ExceptionHandler(DuplicateKeyException.class)
    public ProblemDetail doubled(DuplicateKeyException doubled) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "This is there already. Nothing was changed; load the page again to see it.");
    }

    /** What a rule of the job does not allow. */
    @ExceptionHandler(IllegalArgumentException.class)
    public ProblemDetail invalid(IllegalArgumentException invalid) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, String.valueOf(invalid.getMessage()));
    }

    /** A number or a date that lies beyond what can be counted or stored, or a text that is too long. */
    @ExceptionHandler({DateTimeException.class, ArithmeticException.class, DataIntegrityViolationException.class})
    public ProblemDetail beyondBounds(Exception problem) {
        LOG.warn("Refused for its size", problem);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "A date, a number or a text in this is larger than can be kept. Nothing was changed.");
    }

    /** A file beside the database is gone or is not what it was. */
    @ExceptionHandler({DamagedContentException.class, UncheckedIOException.class})
    public ProblemDetail damaged(Exception problem) {
        boolean damaged =
                problem instanceof DamagedContentException || problem.getCause() instanceof DamagedContentException;
        if (!damaged) {
            return unforeseen(problem);
        }
        LOG.error("A file of the data folder is damaged", problem);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "The file with this message's attachments is missing or damaged on the disk of this application. Its text, the follow-ups and the thread are safe. The message itself is still where it came from; whoever runs this application can put the folder \"content\" back from a copy.");
    }

    /** Everything unforeseen. */
    @ExceptionHandler(Exception.class)
    public ProblemDetail unforeseen(Exception problem) {
        LOG.error("A request failed", problem);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here. Nothing was changed. Try again; if it stays, the log of the application says more.");
    }

    /** What waits for another server and then for its turn to be stored was not ready in time; it goes on. */
    @Override
    protected @Nullable ResponseEntity<Object> handleAsyncRequestTimeoutException(
            AsyncRequestTimeoutException problem, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return handleExceptionInternal(
                problem,
                ProblemDetail.forStatusAndDetail(
                        status,
                        "This takes long. It goes on, and nothing is lost; load the page again after a while to see what came of it."),
                headers,
                status,
                request);
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException problem, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Map<String, String> fields = new TreeMap<>();
        problem.getBindingResult()
                .getFieldErrors()
                .forEach(error ->
                        fields.merge(error.getField(), String.valueOf(error.getDefaultMessage()), (one, other) -> one));
        ResponseEntity<ProblemDetail> refused = refused(Refusal.fields(fields));
        return new ResponseEntity<>(refused.getBody(), refused.getStatusCode());
    }
}
