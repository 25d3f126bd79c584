package org.squallnote.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.reading.OwnWords;

/** In each page what holds KEEP is the writer's own, and what holds DROP is carried along. */
class HtmlWordsTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<p>KEEP</p><blockquote>DROP</blockquote>",
                "<div>KEEP</div><br><div class='mail_quote'><div>On Tue, 10 Mar 2026 at 10:20, Bo &lt;bo@x.example&gt; wrote:<br></div>"
                        + "<blockquote style='border-left:1px solid'>DROP</blockquote></div>",
                // Answers between two quotations, inside of the container.
                "<div class='mail_quote'><div>On 10 Mar 2026 Bo &lt;bo@x.example&gt; wrote:</div><blockquote>DROP one</blockquote>"
                        + "<div>KEEP one</div><blockquote>DROP two</blockquote><div>KEEP two</div></div>",
                // A container without quotations inside.
                "<div>KEEP</div><div class='quoted-reply'><p>DROP</p><p>DROP again</p></div>",
                "<div>KEEP</div><div id='original-message'>DROP</div>",
                // A price quotation is the message itself.
                "<div class='quote'><p>KEEP: the crane costs 480</p></div>",
                // Header lines without any mark.
                "<p>KEEP</p><hr><div><b>From:</b> Bo Lindgren<br><b>Sent:</b> Tuesday, 10 March 2026 10:20<br><b>To:</b> Ines<br>"
                        + "<b>Subject:</b> Crane<br></div><p>DROP</p>",
                // Answers in another colour, and the words above say so.
                "<p>KEEP: my answers below in red.</p><div style='border-top:solid'><p><b>From:</b> Bo<br><b>Sent:</b> Tuesday<br>"
                        + "<b>To:</b> Ines<br><b>Subject:</b> Crane</p></div><p>DROP: when does it open?</p>"
                        + "<p><span style='color:red'>KEEP at nine</span></p><p>DROP: and close?</p>"
                        + "<p><font color='#C00000'>KEEP at five</font></p>",
                // Colour that is only decoration.
                "<p>KEEP</p><div><p><b>From:</b> Bo<br><b>Date:</b> Tuesday<br><b>To:</b> Ines<br><b>Subject:</b> Crane</p></div>"
                        + "<p>DROP <span style='color: red'>DROP</span></p>",
                "<p>KEEP</p><div class='my_signature'>DROP<br>DROP 020 7946</div>",
                "<p>KEEP</p><p>-- <br>DROP</p>",
                "<div style='display:none'>DROP preview</div><p>KEEP</p><span hidden>DROP</span>",
                "<p>KEEP</p><table><tr><td><blockquote>DROP<blockquote>DROP deeper</blockquote></blockquote></td></tr></table>",
                "<ul><li>KEEP one</li><li>KEEP two</li></ul><blockquote>DROP</blockquote><p>KEEP three</p>",
                "<p>KEEP</p><p>---------- Forwarded message ---------<br>From: Bo<br>Date: Tuesday<br>Subject: x<br></p><p>DROP</p>",
            })
    void keepsOwnWords(String html) {
        OwnWords words = OwnWords.of(HtmlText.of(html));
        assertThat(words.own()).as(words.own()).contains("KEEP").doesNotContain("DROP");
        assertThat(words.carried()).as(words.carried()).doesNotContain("KEEP");
    }

    @Test
    void hostilePagesAreReadInReasonableTime() {
        Map<String, String> pages = Map.of(
                "deep", "<div class='quote'>".repeat(30_000) + "text",
                "wide", "<p><span style='color:red'>below</span></p>".repeat(40_000),
                "headers", "<div>From: a Sent: b To: c</div>".repeat(20_000));
        pages.forEach((name, html) -> assertThat(HtmlText.of(html)).as(name).isNotEmpty());
    }
}
