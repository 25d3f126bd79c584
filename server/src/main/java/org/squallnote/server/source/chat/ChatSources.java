package org.squallnote.server.source.chat;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Done;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.chat.ChatClient;
import org.squallnote.sources.chat.ChatSettings;

/** Connects chat accounts and changes their settings. */
@Component
class ChatSources {

    private final Sources sources;
    private final SourceSecrets secrets;

    ChatSources(Sources sources, SourceSecrets secrets) {
        this.sources = sources;
        this.secrets = secrets;
    }

    Done add(
            SignedIn me,
            UUID commandId,
            Sources.Common common,
            String homeserver,
            ChatClient.SignedIn signedIn,
            String user,
            String password) {
        ChatSettings settings = new ChatSettings(homeserver, signedIn.userId(), signedIn.deviceId());
        byte[] secret =
                secrets.encryptWhole(common.id(), new SourceSecrets.ChatSecret(user, password, signedIn.token()));
        return sources.add(
                me,
                commandId,
                sources.source(me, common, SourceKind.CHAT, signedIn.userId(), secrets.write(settings), secret));
    }

    /** Changes what can be changed of a chat account without signing in again. */
    Done change(SignedIn me, UUID commandId, Sources.Common common, int version) {
        sources.get(me, common.id(), SourceKind.CHAT);
        return sources.change(
                me,
                commandId,
                common.id(),
                version,
                "Changed the settings of " + common.name(),
                old -> Sources.with(old, common, old.settings(), old.secret()));
    }
}
