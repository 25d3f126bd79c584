package org.squallnote.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SafeHtmlTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<img src=x onerror=alert(1)>",
                "<a href=\"javascript:alert(1)\">x</a>",
                "<iframe src=\"https://x.example\"></iframe>",
                "<form action=\"https://x.example\"><input name=a></form>",
                "<svg><script>alert(1)</script></svg>",
                "<meta http-equiv=refresh content=\"0;url=https://x.example\">",
                "<link rel=stylesheet href=\"https://x.example/a.css\">",
                "<div style=\"background:url(https://x.example/a.png)\">x</div>",
                "<style>@import url(https://x.example/a.css)</style>",
                "<div style=\"color:red}body{background:url(https://x.example)\">x</div>",
                "<object data=\"https://x.example\"></object>",
                "<img src=\"data:text/html,<script>alert(1)</script>\">",
                "<base href=\"https://x.example/\">",
            })
    void nothingActiveOrRemoteSurvives(String hostile) {
        SafeHtml safe = safe(hostile, false);

        String page = (safe.body() + safe.styles()).toLowerCase(java.util.Locale.ROOT);
        assertThat(page)
                .doesNotContain("script", "onerror", "javascript", "<iframe", "<form", "<svg", "<meta", "<link")
                .doesNotContain("x.example", "<object", "<base", "url(");
    }

    @Test
    void remotePicturesLoadOnlyWhenAskedFor() {
        String html = "<p>Hello <img src=\"https://x.example/pixel.gif\" alt=\"logo\"></p>";

        assertThat(safe(html, false).remotePictures()).isEqualTo(1);
        assertThat(safe(html, false).body()).doesNotContain("x.example").contains("alt=\"logo\"");
        assertThat(safe(html, true).body()).contains("https://x.example/pixel.gif");
    }

    @Test
    void picturesOfTheMessageAreShown() {
        String shown = "<img src=\"cid:plan@x\" alt=\"Plan\">".repeat(60);
        SafeHtml safe = SafeHtml.of(
                shown + "<img src=\"cid:unknown\">",
                id -> id.equals("plan@x") ? Optional.of("/api/messages/1/files/2?view=true") : Optional.empty(),
                false);
        assertThat(safe.body().split("/api/messages/1/files/2", -1)).hasSize(61);
        assertThat(safe.body()).contains("data-not-loaded").doesNotContain("cid:", "data:");
        assertThat(safe.remotePictures()).isZero();
    }

    @Test
    void stylesMoveIntoASheet() {
        SafeHtml safe = safe(
                "<p style=\"color:red\">a</p><p style=\"color:red\">b</p><a href=\"https://x.example\">c</a>", false);

        assertThat(safe.body())
                .doesNotContain("style=")
                .contains("class=\"s0\"")
                .contains("rel=\"noopener noreferrer nofollow\"");
        assertThat(safe.styles()).isEqualTo(".s0{color:red}\n");
    }

    private static SafeHtml safe(String html, boolean loadRemote) {
        return SafeHtml.of(html, id -> Optional.empty(), loadRemote);
    }
}
