package org.squallnote.server.source.chat;

import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.outbox.OutboxRunner;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.SourceEngine;
import org.squallnote.server.source.SourceJournals;
import org.squallnote.sources.chat.ChatSync;

/** Reads chat accounts and sends by them. */
@Component
class ChatEngine implements SourceEngine {

    private final SourceSecrets secrets;
    private final SourceJournals journals;
    private final ChatSignIns chatSignIns;
    private final OutboxRunner.Tools outboxTools;

    ChatEngine(
            SourceSecrets secrets, SourceJournals journals, ChatSignIns chatSignIns, OutboxRunner.Tools outboxTools) {
        this.secrets = secrets;
        this.journals = journals;
        this.chatSignIns = chatSignIns;
        this.outboxTools = outboxTools;
    }

    @Override
    public SourceKind kind() {
        return SourceKind.CHAT;
    }

    @Override
    public Running start(Source source, Instant since) {
        ChatSync.SignIn signIn = chatSignIns.of(source);
        String me = secrets.chatSettings(source).userId().toLowerCase(Locale.ROOT);
        ChatSync sync = new ChatSync(signIn, () -> me, since, journals.chat(source), journals.status(source));
        OutboxRunner outbox = new OutboxRunner(source, outboxTools, Optional.of(signIn), Optional.empty());
        sync.start();
        outbox.start();
        return new Running(sync, Optional.of(outbox));
    }
}
