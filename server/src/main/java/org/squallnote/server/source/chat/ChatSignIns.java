package org.squallnote.server.source.chat;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.Reach;
import org.squallnote.sources.chat.ChatClient;
import org.squallnote.sources.chat.ChatProblem;
import org.squallnote.sources.chat.ChatSettings;
import org.squallnote.sources.chat.ChatSync;
import org.squallnote.store.source.SourceStore;

/** Signs chat accounts in, keeping the token for as long as the server accepts it. */
@Component
class ChatSignIns {

    private final SourceSecrets secrets;
    private final SourceStore sources;
    private final OwnerLocks locks;
    private final Reaches reaches;

    ChatSignIns(SourceSecrets secrets, SourceStore sources, OwnerLocks locks, Reaches reaches) {
        this.secrets = secrets;
        this.sources = sources;
        this.locks = locks;
        this.reaches = reaches;
    }

    ChatSync.SignIn of(Source source) {
        ChatSettings settings = secrets.chatSettings(source);
        SourceSecrets.ChatSecret secret = secrets.chatSecret(source);
        Reach reach = reaches.of(source.owner());
        return new ChatSync.SignIn() {

            private @Nullable ChatClient signedIn = withToken(settings, secret.token(), reach);

            @Override
            public synchronized ChatClient client() throws ChatProblem {
                if (signedIn == null) {
                    if (secret.password().isEmpty()) {
                        throw ChatProblem.signedOutForGood();
                    }
                    ChatClient fresh = new ChatClient(settings.homeserver(), reach);
                    ChatClient.SignedIn answer = fresh.login(secret.user(), secret.password(), settings.deviceId());
                    keep(source, new SourceSecrets.ChatSecret(secret.user(), secret.password(), answer.token()));
                    signedIn = fresh;
                }
                return signedIn;
            }

            @Override
            public synchronized void signedOut() {
                signedIn = null;
            }
        };
    }

    private static @Nullable ChatClient withToken(ChatSettings settings, String token, Reach reach) {
        if (token.isEmpty()) {
            return null;
        }
        ChatClient client = new ChatClient(settings.homeserver(), reach);
        client.useToken(token);
        return client;
    }

    private void keep(Source source, SourceSecrets.ChatSecret secret) {
        locks.write(
                source.owner(),
                () -> sources.byId(source.owner(), source.id())
                        .ifPresent(now ->
                                sources.update(Sources.withSecret(now, secrets.encryptWhole(now.id(), secret)))));
    }
}
