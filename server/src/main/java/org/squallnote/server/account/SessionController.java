package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.problem.Refusal;

/** Where an account is signed in. */
@RestController
class SessionController {

    private final Sessions sessions;

    SessionController(Sessions sessions) {
        this.sessions = sessions;
    }

    record Ended(int sessions) {}

    @GetMapping("/api/sessions")
    List<Sessions.Listed> all(@CurrentAccount SignedIn me, HttpServletRequest request) {
        return sessions.of(me.accountId(), request);
    }

    /** Ends all but the one of the request. */
    @DeleteMapping("/api/sessions")
    Ended endOthers(@CurrentAccount SignedIn me, HttpServletRequest request) {
        return new Ended(sessions.endOthers(me.accountId(), request));
    }

    @DeleteMapping("/api/sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@CurrentAccount SignedIn me, @PathVariable String id) {
        if (!sessions.end(me.accountId(), id)) {
            throw Refusal.notFound("session");
        }
    }
}
