package org.squallnote.server.capture;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.capture.CaptureLine;
import org.squallnote.core.capture.Captured;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.server.arrival.FreshMessages;
import org.squallnote.server.command.Commands;
import org.squallnote.server.followup.Content;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.preference.PreferenceStore;

/** A mail that I send or forward to my capture address becomes a follow-up; its subject is read like a captured line. */
@Component
class CaptureAddress implements FreshMessages {

    private static final Pattern FORWARD_MARKS = Pattern.compile("(?i)^((fwd?|re|wg|aw)\\s*:\\s*)+");

    /** Older mail, met while a mailbox is read for the first time, was dealt with long ago. */
    private static final Duration RECENT = Duration.ofDays(14);

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
        // First what costs nothing: a first sync brings thousands of sent messages.
        if (message.channel() != Channel.MAIL
                || !message.sentAt().isAfter(clock.instant().minus(RECENT))) {
            return;
        }
        Optional<String> address =
                preferences.of(owner, PreferenceStore.CAPTURE_ADDRESS).filter(text -> !text.isEmpty());
        boolean meant = address.isPresent()
                && Stream.concat(message.recipients().to().stream(), message.recipients().cc().stream())
                        .anyMatch(party -> party.address().equals(address.get()));
        if (!meant || followUps.isLinked(owner, message.id())) {
            return;
        }
        CaptureContext context = contexts.of(owner);
        String subject = FORWARD_MARKS.matcher(message.subject().strip()).replaceFirst("");
        Captured captured = CaptureLine.read(subject.isBlank() ? "Look at what I mailed in" : subject, context);
        Content content = new Content(
                captured.title(),
                captured.replyBy().map(ReplyBy::day).orElse(null),
                captured.replyBy().flatMap(ReplyBy::time).orElse(null),
                captured.replyBy().filter(ReplyBy::firm).isPresent(),
                captured.category().orElse(null),
                captured.effortMinutes().orElse(null),
                false,
                new Content.Details(null, captured.place(), captured.people(), List.of(), ""));
        commands.runWithin(owner, "mailed-in", changes -> {
            followUps.mailedIn(owner, ids.next(), message, content, changes);
            changes.label("Follow-up from your mail: " + captured.title()).announce();
        });
    }
}
