package org.squallnote.store.message;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.store.content.ContentFiles;

/** The bytes of messages as they came: small ones in the database, large ones in files beside it. */
public final class RawMails {

    private final RawMailStore rows;
    private final ContentFiles files;

    /** Of a database and the files beside it. */
    public RawMails(RawMailStore rows, ContentFiles files) {
        this.rows = rows;
        this.files = files;
    }

    /** A message as it came. */
    public Optional<RawMail> of(UUID owner, UUID id) {
        return rows.raw(owner, id)
                .map(row -> RawMail.of(row.raw()))
                .or(() -> rows.content(owner, id).map(content -> files.of(content.sha256(), content.size())));
    }

    /** Whether a message is kept as it came. */
    public boolean has(UUID owner, UUID id) {
        return rows.count(owner, id) > 0;
    }

    /** Keeps a message as it came. */
    public void keep(UUID owner, UUID id, RawMail raw) {
        Optional<byte[]> bytes = raw.inMemory();
        if (bytes.isEmpty()) {
            rows.insertContent(owner, id, raw.sha256(), raw.size());
        } else if (raw.size() <= RawMail.LARGEST_IN_MEMORY) {
            rows.insertRaw(owner, id, bytes.get());
        } else {
            keep(owner, id, inFile(bytes.get()));
        }
    }

    /** Forgets the bytes of a message that its writer took back; a file goes when no message refers to it any more. */
    public void forget(UUID owner, UUID id) {
        rows.deleteRaw(owner, id);
        rows.deleteContent(owner, id);
    }

    private RawMail inFile(byte[] bytes) {
        try (MailSpool.Writing writing = files.begin()) {
            writing.write(bytes, 0, bytes.length);
            return writing.end();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The sums of all files that messages refer to. */
    public Set<String> used() {
        return Set.copyOf(rows.contents());
    }
}
