package org.squallnote.server.source.mail;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.mail.MailAccount;
import org.squallnote.sources.mail.MailSettings;

/** Connects mail accounts and changes their settings. */
@Component
class MailSources {

    private final Sources sources;
    private final SourceSecrets secrets;

    MailSources(Sources sources, SourceSecrets secrets) {
        this.sources = sources;
        this.secrets = secrets;
    }

    Done add(SignedIn me, UUID commandId, Sources.Common common, MailAccount account) {
        return sources.add(
                me,
                commandId,
                sources.source(
                        me,
                        common,
                        SourceKind.MAIL,
                        account.address(),
                        secrets.write(account.settings()),
                        secrets.encrypt(common.id(), account.password())));
    }

    /**
     * Changes the settings of a mail account; an empty password keeps the one that is stored, as long as it goes to where
     * it went before.
     */
    Done change(SignedIn me, UUID commandId, Sources.Common common, int version, MailAccount account) {
        if (account.password().isEmpty()) {
            keptFor(sources.get(me, common.id(), SourceKind.MAIL), account.settings());
        }
        return sources.change(me, commandId, common.id(), version, "Changed the settings of " + common.name(), old -> {
            byte[] secret = account.password().isEmpty() ? old.secret() : secrets.encrypt(old.id(), account.password());
            return Sources.with(old, common, secrets.write(account.settings()), secret);
        });
    }

    /** The stored mail settings with the stored password, for a test without entering it again. */
    Optional<MailAccount> stored(SignedIn me, @Nullable UUID id, MailSettings settings, String address) {
        return Optional.ofNullable(id)
                .flatMap(known -> sources.find(me, known, SourceKind.MAIL))
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
}
