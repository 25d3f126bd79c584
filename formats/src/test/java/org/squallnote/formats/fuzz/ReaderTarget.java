package org.squallnote.formats.fuzz;

import java.nio.charset.StandardCharsets;
import org.squallnote.core.message.Party;

/** Any text, as the words of a message. */
public final class ReaderTarget {

    private ReaderTarget() {}

    /** What the fuzzer calls. */
    public static void fuzzerTestOneInput(byte[] data) {
        Targets.read(
                new Party("Tilda Brandt", "tilda@brandt-cranes.example"), "", new String(data, StandardCharsets.UTF_8));
    }
}
