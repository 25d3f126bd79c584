package org.squallnote.server.outbox;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.Place;
import org.squallnote.store.outbox.OutboxKind;
import org.squallnote.store.source.ArchiveRule;
import org.squallnote.store.source.Source;
import org.squallnote.store.source.SourceStore;

/** Puts the archiving of decided mail into the outbox, as each source's rule says. */
@Component
public class Archiving {

    private final MessageStore messages;
    private final SourceStore sources;
    private final SourceSecrets settings;
    private final Outbox outbox;

    Archiving(MessageStore messages, SourceStore sources, SourceSecrets settings, Outbox outbox) {
        this.messages = messages;
        this.sources = sources;
        this.settings = settings;
        this.outbox = outbox;
    }

    /** A message was decided; a follow-up that came of it is still open or there is none. */
    public void decided(UUID owner, UUID commandId, UUID messageId, boolean followUpOpen) {
        archive(
                owner,
                commandId,
                messageId,
                rule -> rule == ArchiveRule.AT_ONCE || (rule == ArchiveRule.WHEN_ENDED && !followUpOpen));
    }

    /** The last follow-up of a message has ended. */
    public void ended(UUID owner, UUID commandId, UUID messageId) {
        archive(owner, commandId, messageId, rule -> rule == ArchiveRule.WHEN_ENDED);
    }

    private void archive(UUID owner, UUID commandId, UUID messageId, Predicate<ArchiveRule> applies) {
        List<Place> places = messages.places(owner, messageId);
        for (Place place : places) {
            Optional<Source> source = sources.byId(owner, place.sourceId())
                    .filter(found -> found.removedAt() == null && applies.test(found.archiveRule()));
            if (source.isEmpty()) {
                continue;
            }
            MailSettings mail = settings.mailSettings(source.get());
            if (mail.archive().isEmpty() || !place.folder().equals(mail.inbox())) {
                continue;
            }
            String id = messages.byId(owner, messageId)
                    .map(message -> message.messageId())
                    .orElse("");
            outbox.add(
                    owner,
                    place.sourceId(),
                    commandId,
                    OutboxKind.ARCHIVE,
                    messageId + " " + commandId,
                    messageId,
                    new Payloads.Move(place.folder(), mail.archive().get(), place.uidValidity(), place.uid(), id),
                    true);
        }
    }
}
