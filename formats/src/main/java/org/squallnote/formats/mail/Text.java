package org.squallnote.formats.mail;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Optional;

/** Bytes to text the way a tolerant reader does it. */
public final class Text {

    private static final Charset WESTERN = Charset.forName("windows-1252");

    private Text() {}

    /**
     * Decodes by the declared charset; where that is missing, unknown or ASCII, as UTF-8 when the bytes are valid
     * UTF-8, else as Windows-1252.
     */
    static String decode(byte[] bytes, Optional<String> declared) {
        Optional<Charset> charset = declared.flatMap(Text::charset).filter(c -> !c.equals(StandardCharsets.US_ASCII));
        String text = new String(bytes, charset.orElseGet(() -> charsetOf(bytes)));
        return withoutControls(text.replace("\r\n", "\n").replace('\r', '\n'));
    }

    private static Optional<Charset> charset(String name) {
        try {
            return Optional.of(Charset.forName(name.strip()));
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            return Optional.empty();
        }
    }

    /** UTF-8 where bytes are valid in it, else Windows-1252, in which older programs write. */
    public static Charset charsetOf(byte[] bytes) {
        try {
            // A new decoder reports what it cannot read.
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException e) {
            return WESTERN;
        }
    }

    /** Without control characters and lone surrogates, which neither a database nor a screen can hold. */
    public static String withoutControls(String text) {
        StringBuilder clean = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isHighSurrogate(c) && i + 1 < text.length() && Character.isLowSurrogate(text.charAt(i + 1))) {
                clean.append(c).append(text.charAt(++i));
            } else if (Character.isSurrogate(c)) {
                clean.append('\uFFFD');
            } else if (c == '\n' || c == '\t' || c >= ' ') {
                clean.append(c);
            }
        }
        return clean.toString();
    }

    /** The text, or its beginning; never half of a surrogate pair. */
    static String cut(String text, int longest) {
        if (text.length() <= longest) {
            return text;
        }
        int end = Character.isHighSurrogate(text.charAt(longest - 1)) ? longest - 1 : longest;
        return text.substring(0, end);
    }
}
