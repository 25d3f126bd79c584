package org.squallnote.core.message;

import java.util.List;

/** The files of a message, as one column. */
public record Files(List<StoredFile> list) {

    /** Copies the list. */
    public Files {
        list = List.copyOf(list);
    }

    /**
     * A file that came with a message.
     *
     * @param index by which the part is found in the raw message
     * @param size in bytes, roughly
     */
    public record StoredFile(int index, String name, String type, long size) {}
}
