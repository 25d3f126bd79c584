package org.squallnote.formats.table;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/**
 * The text of a file of which nobody says how it is encoded: by its byte order mark, else UTF-8 where it is valid, else
 * Windows-1252, in which older spreadsheets write.
 *
 * @param charset what it was read as
 */
public record FileText(String text, Charset charset) {

    private static final Charset WINDOWS = Charset.forName("windows-1252");
    private static final String MARK = "\ufeff";

    /** Reads it. */
    public static FileText of(byte[] bytes) {
        Charset charset = charset(bytes);
        String text = new String(bytes, charset);
        return new FileText(text.startsWith(MARK) ? text.substring(1) : text, charset);
    }

    private static Charset charset(byte[] bytes) {
        if (startsWith(bytes, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (startsWith(bytes, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException e) {
            return WINDOWS;
        }
    }

    private static boolean startsWith(byte[] bytes, int first, int second) {
        return bytes.length >= 2 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }
}
