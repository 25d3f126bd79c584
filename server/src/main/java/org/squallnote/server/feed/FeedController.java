package org.squallnote.server.feed;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** The calendar that is given out, and its address. */
@RestController
class FeedController {

    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final Feeds feeds;

    FeedController(Feeds feeds) {
        this.feeds = feeds;
    }

    /** @param path of the address, absent where nothing is given out */
    record FeedView(@Nullable String path) {}

    @GetMapping("/api/feed")
    FeedView feed(@CurrentAccount SignedIn me) {
        return new FeedView(
                feeds.token(me).map(token -> "/feed/" + token + ".ics").orElse(null));
    }

    /** A new address; the one before gives nothing any more. */
    @PostMapping("/api/feed")
    Done renew(@CurrentAccount SignedIn me, @CommandId UUID commandId) {
        return feeds.renew(me, commandId);
    }

    @DeleteMapping("/api/feed")
    Done end(@CurrentAccount SignedIn me, @CommandId UUID commandId) {
        return feeds.end(me, commandId);
    }

    /** The calendar, for whoever knows its address; unchanged ones are answered with 304 (RFC 9110 section 13). */
    @GetMapping("/feed/{token}.ics")
    @Nullable
    ResponseEntity<byte[]> calendar(@PathVariable String token, WebRequest request) {
        byte[] bytes = feeds.calendar(token)
                .orElseThrow(() -> Refusal.notFound("calendar"))
                .getBytes(StandardCharsets.UTF_8);
        String etag = "\"" + UUID.nameUUIDFromBytes(bytes) + "\"";
        if (request.checkNotModified(etag)) {
            return null;
        }
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .eTag(etag)
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(bytes);
    }
}
