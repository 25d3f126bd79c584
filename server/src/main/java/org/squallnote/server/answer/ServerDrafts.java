package org.squallnote.server.answer;

import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.draft.Draft;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.source.Source;
import org.squallnote.server.outbox.DraftMails;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.draft.DraftStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.outbox.OutboxStore;

/**
 * Keeps drafts in the server's folder for drafts too, where the mail account says so. It follows the draft a little
 * behind, and goes when the draft goes; what is changed there by another program is not read back.
 */
@Component
class ServerDrafts implements DraftMails {

    private final MessageStore messages;
    private final DraftStore drafts;
    private final OutboxStore entries;
    private final AccountStore accounts;
    private final SourceSecrets secrets;
    private final Sending sending;
    private final Composer composer;
    private final Outbox outbox;
    private final UuidV7 ids;
    private final Clock clock;

    ServerDrafts(
            MessageStore messages,
            DraftStore drafts,
            OutboxStore entries,
            AccountStore accounts,
            SourceSecrets secrets,
            Sending sending,
            Composer composer,
            Outbox outbox,
            UuidV7 ids,
            Clock clock) {
        this.messages = messages;
        this.drafts = drafts;
        this.entries = entries;
        this.accounts = accounts;
        this.secrets = secrets;
        this.sending = sending;
        this.composer = composer;
        this.outbox = outbox;
        this.ids = ids;
        this.clock = clock;
    }

    /** A draft has changed. */
    void changed(StoredMessage message) {
        if (entries.countWaiting(message.owner(), message.id(), OutboxKind.KEEP_DRAFT) == 0) {
            put(OutboxKind.KEEP_DRAFT, message, outbox.draftsBehind());
        }
    }

    /** A draft is gone: sent, or given up. */
    void gone(StoredMessage message) {
        put(OutboxKind.FORGET_DRAFT, message, Duration.ZERO);
    }

    private void put(OutboxKind kind, StoredMessage message, Duration wait) {
        sourceOf(message)
                .ifPresent(source -> secrets.mailSettings(source).drafts().ifPresent(folder -> {
                    UUID id = ids.next();
                    outbox.add(
                            message.owner(),
                            source.id(),
                            id,
                            kind,
                            id.toString(),
                            message.id(),
                            new Payloads.KeptDraft(folder, identity(source, message.id())),
                            wait);
                }));
    }

    private Optional<Source> sourceOf(StoredMessage message) {
        if (message.channel() != Channel.MAIL) {
            return Optional.empty();
        }
        try {
            return Optional.of(sending.source(message.owner(), message));
        } catch (Refusal noMailAccount) {
            return Optional.empty();
        }
    }

    private static String identity(Source source, UUID messageId) {
        return "draft-" + messageId + "@" + Sending.domain(source);
    }

    @Override
    public Optional<byte[]> mailOf(Source source, UUID messageId) {
        UUID owner = source.owner();
        Optional<StoredMessage> message = messages.byId(owner, messageId);
        Optional<Draft> draft = drafts.of(owner, messageId);
        return message.flatMap(answered -> draft.map(written -> composer.mail(
                source,
                answered,
                composer.addressees(owner, answered, written(written)),
                written.text(),
                identity(source, messageId),
                clock.instant(),
                accounts.byId(owner).map(Account::zone).map(ZoneId::of).orElse(ZoneId.of("UTC")),
                composer.files(owner, messageId),
                false)));
    }

    private static Answers.Written written(Draft draft) {
        return new Answers.Written(
                draft.text(), draft.toAll(), parties(draft.copies()), parties(draft.hidden()), false);
    }

    /** What is an address already of what is being typed. */
    private static List<Party> parties(String typed) {
        return Arrays.stream(typed.split("[\\s,;]+"))
                .filter(ServerDrafts::isAddress)
                .map(address -> new Party("", address))
                .toList();
    }

    private static boolean isAddress(String text) {
        try {
            new InternetAddress(text, true).validate();
            return text.contains("@");
        } catch (AddressException e) {
            return false;
        }
    }
}
