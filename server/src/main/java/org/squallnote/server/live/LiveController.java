package org.squallnote.server.live;

import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** The stream of changes. */
@RestController
class LiveController {

    private final LiveEvents events;

    LiveController(LiveEvents events) {
        this.events = events;
    }

    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@CurrentAccount SignedIn me) throws IOException {
        return events.open(me.accountId());
    }
}
