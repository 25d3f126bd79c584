package org.squallnote.server.message;

import java.io.IOException;
import java.io.InputStream;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.problem.Refusal;

/** The files that came with messages. */
@Component
public class MessageFiles {

    private final Messages messages;
    private final ChatFiles chatFiles;

    MessageFiles(Messages messages, ChatFiles chatFiles) {
        this.messages = messages;
        this.chatFiles = chatFiles;
    }

    /**
     * What is known of a file.
     *
     * @param index its place in the message
     */
    public static Files.StoredFile file(StoredMessage message, int index) {
        return message.files().list().stream()
                .filter(candidate -> candidate.index() == index)
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("file"));
    }

    /** Its bytes; of one in a chat from where it lies. */
    public InputStream open(StoredMessage message, int index) throws IOException {
        if (message.channel() == Channel.CHAT) {
            return chatFiles.open(message, messages.event(message.owner(), message.id()));
        }
        return MailParser.attachment(messages.raw(message.owner(), message.id()), index)
                .orElseThrow(() -> Refusal.invalid(
                        "This file is damaged and cannot be opened. The message itself is kept as it came."));
    }
}
