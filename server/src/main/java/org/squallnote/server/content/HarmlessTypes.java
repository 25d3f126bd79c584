package org.squallnote.server.content;

import java.util.Set;

/** The types of files that a browser may show without running anything of them. */
public final class HarmlessTypes {

    private static final Set<String> ALL = Set.of("image/png", "image/jpeg", "image/gif", "image/webp", "text/plain");

    private HarmlessTypes() {}

    /** Whether a media type is one of them. */
    public static boolean has(String type) {
        return ALL.contains(type);
    }
}
