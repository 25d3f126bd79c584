package org.squallnote.server.api;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers with a file to be saved. */
public final class Download {

    private Download() {}

    /** Bytes under a name. */
    public static ResponseEntity<byte[]> of(String name, MediaType type, byte[] content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition(name))
                .contentType(type)
                .body(content);
    }

    /** A text under a name, in UTF-8. */
    public static ResponseEntity<byte[]> ofText(String name, String subtype, String text) {
        return of(name, new MediaType("text", subtype, StandardCharsets.UTF_8), text.getBytes(StandardCharsets.UTF_8));
    }

    /** The header by which a browser saves it under its name (RFC 6266). */
    public static String disposition(String name) {
        return ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString();
    }
}
