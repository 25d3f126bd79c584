package org.squallnote.server.secret;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.sources.chat.ChatSettings;
import org.squallnote.sources.mail.MailAccount;
import org.squallnote.sources.mail.MailSettings;
import tools.jackson.databind.json.JsonMapper;

/** Reads and writes the settings and secrets of sources. */
@Component
public class SourceSecrets {

    /**
     * The secrets of a chat account.
     *
     * @param password empty when only a token was given
     * @param token the access token in use
     */
    public record ChatSecret(String user, String password, String token) {

        @Override
        public String toString() {
            return "ChatSecret[…]"; // Must not reach a log.
        }
    }

    private final KeyFile key;
    private final JsonMapper json;
    private final Reaches reaches;

    SourceSecrets(KeyFile key, JsonMapper json, Reaches reaches) {
        this.key = key;
        this.json = json;
        this.reaches = reaches;
    }

    /** The settings of a mail account. */
    public MailSettings mailSettings(Source source) {
        return json.readValue(source.settings(), MailSettings.class);
    }

    /** A mail account with its password. */
    public MailAccount mailAccount(Source source) {
        String password = new String(key.decrypt(source.id(), source.secret()), StandardCharsets.UTF_8);
        return new MailAccount(source.address(), mailSettings(source), password, reaches.of(source.owner()));
    }

    /** The settings of a chat account. */
    public ChatSettings chatSettings(Source source) {
        return json.readValue(source.settings(), ChatSettings.class);
    }

    /** The secrets of a chat account. */
    public ChatSecret chatSecret(Source source) {
        return secret(source, ChatSecret.class);
    }

    /** What is kept encrypted of a source, in the form of its kind. */
    public <T> T secret(Source source, Class<T> form) {
        return json.readValue(key.decrypt(source.id(), source.secret()), form);
    }

    /** Encrypts what a kind of source has to keep. */
    public byte[] encryptWhole(UUID sourceId, Object secret) {
        return key.encrypt(sourceId, json.writeValueAsBytes(secret));
    }

    /** Encrypts a password. */
    public byte[] encrypt(UUID sourceId, String password) {
        return key.encrypt(sourceId, password.getBytes(StandardCharsets.UTF_8));
    }

    /** Settings as they are stored. */
    public String write(Object settings) {
        return json.writeValueAsString(settings);
    }
}
