package org.squallnote.server.event;

import jakarta.validation.constraints.Min;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** What happened, in its order, for two weeks. */
@RestController
class EventController {

    private final EventStreams streams;

    EventController(EventStreams streams) {
        this.streams = streams;
    }

    /**
     * What happened, the first of it.
     *
     * @param last the number to ask after next time
     * @param more whether there is more already
     */
    record HappenedList(List<HappenedView> events, long last, boolean more) {}

    /** @param after what was told up to this number is known; absent for nothing but where it stands now */
    @GetMapping(path = "/api/events", produces = MediaType.APPLICATION_JSON_VALUE)
    HappenedList list(@CurrentAccount SignedIn me, @RequestParam(required = false) @Min(0) @Nullable Long after) {
        if (after == null) {
            return new HappenedList(List.of(), streams.last(me.accountId()), false);
        }
        List<HappenedView> events = streams.after(me.accountId(), after);
        return new HappenedList(
                events,
                events.isEmpty() ? after : events.get(events.size() - 1).seq(),
                events.size() == EventStreams.MOST_AT_ONCE);
    }

    /**
     * A stream of server-sent events; a reader that comes back says in the header Last-Event-ID where it stopped, as browsers
     * do by themselves.
     *
     * @param after the same for a reader that cannot set a header; without either it begins now
     */
    @GetMapping(path = "/api/events/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(
            @CurrentAccount SignedIn me,
            @RequestHeader(name = "Last-Event-ID", required = false) @Min(0) @Nullable Long lastEventId,
            @RequestParam(required = false) @Min(0) @Nullable Long after)
            throws IOException {
        Long from = lastEventId == null ? after : lastEventId;
        return streams.open(me.accountId(), from == null ? streams.last(me.accountId()) : from);
    }
}
