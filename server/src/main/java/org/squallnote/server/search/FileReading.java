package org.squallnote.server.search;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.search.Entry;
import org.squallnote.search.FileText;
import org.squallnote.store.message.RawMails;

/** Reads the text in the files of messages. */
@Component
class FileReading {

    /** Of more files of a message the rest is left alone. */
    static final int MOST = 20;

    private static final Logger LOG = LoggerFactory.getLogger(FileReading.class);

    private final RawMails rawMails;
    private final FileText fileText = new FileText();

    FileReading(RawMails rawMails) {
        this.rawMails = rawMails;
    }

    /** Those that have a text. */
    List<Entry> of(StoredMessage message) throws InterruptedException {
        List<Entry> put = new ArrayList<>();
        for (Files.StoredFile file : message.files().list().stream().limit(MOST).toList()) {
            // What lies at a homeserver is not fetched for this.
            if (message.channel() == Channel.MAIL && file.size() <= FileText.LARGEST) {
                String text = text(message, file);
                if (!text.isEmpty()) {
                    put.add(Entries.ofFile(message, file, text));
                }
            }
        }
        return put;
    }

    private String text(StoredMessage message, Files.StoredFile file) throws InterruptedException {
        try {
            Optional<RawMail> raw = rawMails.of(message.owner(), message.id());
            Optional<InputStream> content =
                    raw.isEmpty() ? Optional.empty() : MailParser.attachment(raw.get(), file.index());
            return content.isEmpty() ? "" : fileText.of(file.name(), content.get());
        } catch (IOException | RuntimeException e) {
            LOG.debug("The file of a message cannot be read", e);
            return "";
        }
    }

    @PreDestroy
    void close() {
        fileText.close();
    }
}
