package org.squallnote.formats.fuzz;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.squallnote.formats.html.HtmlText;
import org.squallnote.formats.html.SafeHtml;

/** Any text, as HTML: turned into text, and made safe to show. */
public final class HtmlTarget {

    private HtmlTarget() {}

    /** What the fuzzer calls. */
    public static void fuzzerTestOneInput(byte[] data) {
        String html = new String(data, StandardCharsets.UTF_8);
        HtmlText.of(html);
        String body = SafeHtml.of(html, id -> Optional.empty(), true).body().toLowerCase(Locale.ROOT);
        if (body.contains("<script") || body.contains("<iframe") || body.contains("<form") || body.contains("<style")) {
            throw new AssertionError("Not safe: " + body);
        }
    }
}
