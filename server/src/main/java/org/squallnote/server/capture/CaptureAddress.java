package org.squallnote.server.capture;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.capture.CaptureLine;
import org.squallnote.core.capture.Captured;
import org.squallnote.core.capture.MailedIn;
import org.squallnote.core.followup.Content;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.server.arrival.FreshMessages;
import org.squallnote.server.command.Commands;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.preference.PreferenceStore;

/** A mail that I send or forward to my capture address becomes a follow-up; its subject is read like a captured line. */
@Component
class CaptureAddress implements FreshMessages {

    private final PreferenceStore preferences;
    private final CaptureContexts contexts;
    private final FollowUps followUps;
    private final Commands commands;
    private final UuidV7 ids;
    private final Clock clock;

    CaptureAddress(
            PreferenceStore preferences,
            CaptureContexts contexts,
            FollowUps followUps,
            Commands commands,
            UuidV7 ids,
            Clock clock) {
        this.preferences = preferences;
        this.contexts = contexts;
        this.followUps = followUps;
        this.commands = commands;
        this.ids = ids;
        this.clock = clock;
    }

    @Override
    public void mine(UUID owner, StoredMessage message) {
        if (!MailedIn.canBe(message, clock.instant())) {
            return;
        }
        String address = preferences.of(owner, PreferenceStore.CAPTURE_ADDRESS).orElse("");
        if (!MailedIn.isFor(message, address) || followUps.isLinked(owner, message.id())) {
            return;
        }
        CaptureContext context = contexts.of(owner);
        Captured captured = CaptureLine.read(MailedIn.line(message.subject()), context);
        Content content = new Content(
                captured.title(),
                captured.replyBy().map(ReplyBy::day).orElse(null),
                captured.replyBy().flatMap(ReplyBy::time).orElse(null),
                captured.replyBy().filter(ReplyBy::firm).isPresent(),
                captured.category().orElse(null),
                captured.effortMinutes().orElse(null),
                null,
                false,
                new Content.Details(null, captured.place(), captured.people(), List.of(), ""));
        commands.runWithin(owner, "mailed-in", changes -> {
            followUps.mailedIn(owner, ids.next(), message, content, captured.repeats(), changes);
            changes.label("Follow-up from your mail: " + captured.title()).announce();
        });
    }
}
