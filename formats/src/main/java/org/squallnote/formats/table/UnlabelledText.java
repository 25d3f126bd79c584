package org.squallnote.formats.table;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.squallnote.formats.mail.Text;

/**
 * The text of a file, its lines ended alike, of which nobody says how it is encoded: by its byte order mark, else UTF-8 where it is valid, else
 * Windows-1252, in which older spreadsheets write.
 *
 * @param charset what it was read as
 */
public record UnlabelledText(String text, Charset charset) {

    private static final String MARK = "\ufeff";

    /** Reads it. */
    public static UnlabelledText of(byte[] bytes) {
        Charset charset = charset(bytes);
        String text = new String(bytes, charset).replace("\r\n", "\n").replace('\r', '\n');
        return new UnlabelledText(Text.withoutControls(text.startsWith(MARK) ? text.substring(1) : text), charset);
    }

    private static Charset charset(byte[] bytes) {
        if (startsWith(bytes, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (startsWith(bytes, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        return Text.charsetOf(bytes);
    }

    private static boolean startsWith(byte[] bytes, int first, int second) {
        return bytes.length >= 2 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }
}
