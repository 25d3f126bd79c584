package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which addresses are the page's. */
class PageTest extends ServerTest {

    private String forwarded(String path) {
        return String.valueOf(mvc.get().uri(path).exchange().getResponse().getForwardedUrl());
    }

    @ParameterizedTest
    @ValueSource(strings = {"/intake", "/follow-ups/7", "/settings/working-time", "/a-view-of-tomorrow", "/apiary"})
    void anyViewIsThePage(String path) {
        assertThat(forwarded(path)).isEqualTo("/index.html");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api", "/api/nothing", "/api/nothing/more", "/assets/nothing.js", "/mark.svg"})
    void whatIsNoViewIsNot(String path) {
        assertThat(forwarded(path)).isEqualTo("null");
    }
}
