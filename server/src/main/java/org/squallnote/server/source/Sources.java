package org.squallnote.server.source;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.chat.ChatClient;
import org.squallnote.sources.chat.ChatSettings;
import org.squallnote.sources.mail.MailAccount;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Adds, changes and disconnects sources. */
@Component
class Sources {

    private final SourceStore store;
    private final SourceSecrets secrets;
    private final Commands commands;
    private final SourceEngines engines;
    private final MessageStore messages;

    Sources(SourceStore store, SourceSecrets secrets, Commands commands, SourceEngines engines, MessageStore messages) {
        this.messages = messages;
        this.store = store;
        this.secrets = secrets;
        this.commands = commands;
        this.engines = engines;
    }

    /** What is the same for all kinds. */
    record Common(UUID id, String name, int daysBack, ArchiveRule archiveRule) {}

    int countMessages(Source source) {
        return messages.countInSource(source.owner(), source.id());
    }

    Done addMail(SignedIn me, UUID commandId, Common common, MailAccount account) {
        return add(
                me,
                commandId,
                source(
                        me,
                        common,
                        SourceKind.MAIL,
                        account.address(),
                        secrets.write(account.settings()),
                        secrets.encrypt(common.id(), account.password())));
    }

    Done addChat(
            SignedIn me,
            UUID commandId,
            Common common,
            String homeserver,
            ChatClient.SignedIn signedIn,
            String user,
            String password) {
        ChatSettings settings = new ChatSettings(homeserver, signedIn.userId(), signedIn.deviceId());
        byte[] secret = secrets.encrypt(common.id(), new SourceSecrets.ChatSecret(user, password, signedIn.token()));
        return add(
                me, commandId, source(me, common, SourceKind.CHAT, signedIn.userId(), secrets.write(settings), secret));
    }

    private Source source(SignedIn me, Common common, SourceKind kind, String address, String settings, byte[] secret) {
        return new Source(
                common.id(),
                me.accountId(),
                kind,
                common.name(),
                address.strip().toLowerCase(Locale.ROOT),
                settings,
                secret,
                common.daysBack(),
                common.archiveRule(),
                engines.now(),
                SourceStatus.CONNECTING,
                "Connecting.",
                0,
                0,
                null,
                0);
    }

    private Done add(SignedIn me, UUID commandId, Source source) {
        boolean taken = store.of(me.accountId()).stream()
                .anyMatch(other ->
                        other.address().equals(source.address()) && !other.id().equals(source.id()));
        if (taken) {
            throw Refusal.invalid(source.address() + " is connected already. Change its settings instead.");
        }
        Done done = commands.run(me, commandId, "source-added", changes -> {
            store.insert(source);
            changes.label("Connected " + source.name())
                    .record(SubjectType.SOURCE, source.id(), null, state(source))
                    .touch(Topic.SOURCES);
        });
        restart(me, source.id());
        return done;
    }

    /**
     * Changes the settings of a mail account; an empty password keeps the one that is stored, as long as it goes to where
     * it went before.
     */
    Done changeMail(SignedIn me, UUID commandId, Common common, int version, MailAccount account) {
        if (account.password().isEmpty()) {
            keptFor(get(me, common.id()), account.settings());
        }
        return change(me, commandId, common.id(), version, "Changed the settings of " + common.name(), old -> {
            byte[] secret = account.password().isEmpty() ? old.secret() : secrets.encrypt(old.id(), account.password());
            return with(
                    old,
                    common.name(),
                    secrets.write(account.settings()),
                    secret,
                    common.daysBack(),
                    common.archiveRule(),
                    null);
        });
    }

    /** Changes what can be changed of a chat account without signing in again. */
    Done changeChat(SignedIn me, UUID commandId, Common common, int version) {
        return change(
                me,
                commandId,
                common.id(),
                version,
                "Changed the settings of " + common.name(),
                old -> with(
                        old,
                        common.name(),
                        old.settings(),
                        old.secret(),
                        common.daysBack(),
                        common.archiveRule(),
                        null));
    }

    /** Disconnects a source: its messages stay, its password goes. */
    Done disconnect(SignedIn me, UUID commandId, UUID id, int version) {
        return change(
                me,
                commandId,
                id,
                version,
                "Disconnected " + get(me, id).name(),
                old -> with(
                        old,
                        old.name(),
                        old.settings(),
                        new byte[0],
                        old.daysBack(),
                        old.archiveRule(),
                        engines.now()));
    }

    private Done change(
            SignedIn me, UUID commandId, UUID id, int version, String label, UnaryOperator<Source> changed) {
        Done done = commands.run(me, commandId, "source-changed", changes -> {
            Source old = get(me, id);
            Source now = changed.apply(old);
            if (old.version() != version || store.update(now) == 0) {
                throw new StaleVersionException(id);
            }
            changes.label(label)
                    .record(SubjectType.SOURCE, id, state(old), state(now))
                    .touch(Topic.SOURCES);
        });
        restart(me, id);
        return done;
    }

    private void restart(SignedIn me, UUID id) {
        store.byId(me.accountId(), id).ifPresent(engines::start);
    }

    Source get(SignedIn me, UUID id) {
        return store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("source"));
    }

    List<Source> all(SignedIn me) {
        return store.of(me.accountId());
    }

    /** The stored mail settings with the stored password, for a test without entering it again. */
    Optional<MailAccount> stored(SignedIn me, @Nullable UUID id, MailSettings settings, String address) {
        return Optional.ofNullable(id)
                .flatMap(known -> store.byId(me.accountId(), known))
                .map(source -> new MailAccount(address, settings, keptFor(source, settings)));
    }

    /** The stored password; it is given to no server, user or certificate but those that it was entered for. */
    private String keptFor(Source source, MailSettings settings) {
        if (source.removedAt() != null || !secrets.mailSettings(source).hasSameDestination(settings)) {
            throw Refusal.field(
                    "password",
                    "A server, the user or the certificate is another one now, so the password is needed again. Nothing was"
                            + " sent or changed.");
        }
        return secrets.mailAccount(source).password();
    }

    static Source withSecret(Source s, byte[] secret) {
        return with(s, s.name(), s.settings(), secret, s.daysBack(), s.archiveRule(), s.removedAt());
    }

    private static Source with(
            Source s,
            String name,
            String settings,
            byte[] secret,
            int daysBack,
            ArchiveRule archiveRule,
            @Nullable Instant removedAt) {
        return new Source(
                s.id(),
                s.owner(),
                s.kind(),
                name,
                s.address(),
                settings,
                secret,
                daysBack,
                archiveRule,
                s.addedAt(),
                s.status(),
                s.statusText(),
                s.progressDone(),
                s.progressTotal(),
                removedAt,
                s.version());
    }

    /** What the history keeps of a source: nothing secret. */
    private static Map<String, Object> state(Source source) {
        return Map.of(
                "name", source.name(),
                "address", source.address(),
                "settings", source.settings(),
                "daysBack", source.daysBack(),
                "archiveRule", source.archiveRule(),
                "connected", source.removedAt() == null);
    }
}
