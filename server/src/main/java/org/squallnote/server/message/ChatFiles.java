package org.squallnote.server.message;

import java.io.IOException;
import java.io.InputStream;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;

/** Fetches the files of chat messages from where they are kept. */
public interface ChatFiles {

    /**
     * The file of a message, read as it comes; whoever asks closes it.
     *
     * @param raw the event as it came
     */
    InputStream open(StoredMessage message, RawMail raw) throws IOException;
}
