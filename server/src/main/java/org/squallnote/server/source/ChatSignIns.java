package org.squallnote.server.source;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.chat.ChatClient;
import org.squallnote.sources.chat.ChatProblem;
import org.squallnote.sources.chat.ChatSettings;
import org.squallnote.sources.chat.ChatSync;
import org.squallnote.store.source.Source;
import org.squallnote.store.source.SourceStore;

/** Signs chat accounts in, keeping the token for as long as the server accepts it. */
@Component
class ChatSignIns {

    private final SourceSecrets secrets;
    private final SourceStore sources;
    private final OwnerLocks locks;

    ChatSignIns(SourceSecrets secrets, SourceStore sources, OwnerLocks locks) {
        this.secrets = secrets;
        this.sources = sources;
        this.locks = locks;
    }

    ChatSync.SignIn of(Source source) {
        ChatSettings settings = secrets.chatSettings(source);
        SourceSecrets.ChatSecret secret = secrets.chatSecret(source);
        return new ChatSync.SignIn() {

            private @Nullable ChatClient signedIn = withToken(settings, secret.token());

            @Override
            public synchronized ChatClient client() throws ChatProblem {
                if (signedIn == null) {
                    if (secret.password().isEmpty()) {
                        throw ChatProblem.signedOutForGood();
                    }
                    ChatClient fresh = new ChatClient(settings.homeserver());
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

    private static @Nullable ChatClient withToken(ChatSettings settings, String token) {
        if (token.isEmpty()) {
            return null;
        }
        ChatClient client = new ChatClient(settings.homeserver());
        client.useToken(token);
        return client;
    }

    private void keep(Source source, SourceSecrets.ChatSecret secret) {
        locks.write(
                source.owner(),
                () -> sources.byId(source.owner(), source.id())
                        .ifPresent(now -> sources.update(Sources.withSecret(now, secrets.encrypt(now.id(), secret)))));
    }
}
