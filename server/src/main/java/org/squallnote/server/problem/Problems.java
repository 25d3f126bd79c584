package org.squallnote.server.problem;

import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.squallnote.store.StaleVersionException;

/** Turns exceptions into problem details, in one place. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** What the application refuses. */
    @ExceptionHandler(Refusal.class)
    public ProblemDetail refused(Refusal refusal) {
        return ProblemDetail.forStatusAndDetail(refusal.status(), String.valueOf(refusal.getMessage()));
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

    /** Everything unforeseen. */
    @ExceptionHandler(Exception.class)
    public ProblemDetail unforeseen(Exception problem) {
        LOG.error("A request failed", problem);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here. Nothing was changed. Try again; if it stays, the log of the application says more.");
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException problem, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String detail = problem.getBindingResult().getFieldErrors().stream()
                .map(error -> error.getField() + " " + error.getDefaultMessage())
                .sorted()
                .collect(Collectors.joining("; ", "This cannot be used: ", "."));
        return ResponseEntity.unprocessableContent()
                .body(ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, detail));
    }
}
