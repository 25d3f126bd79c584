package org.squallnote.search;

import org.apache.tika.Tika;

/** What a file is, by its bytes first and its name second. */
public final class FileType {

    /** So many bytes of its beginning say it. */
    public static final int START_BYTES = 65_536;

    private static final class Detectors {

        private static final Tika ALL = new Tika();
    }

    private FileType() {}

    /**
     * The media type of a file.
     *
     * @param start its first bytes, {@link #START_BYTES} are enough
     */
    public static String of(byte[] start, String name) {
        return Detectors.ALL.detect(start, name);
    }
}
