package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BaseSubjectTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Berth plan | berth plan | false",
                "Re: Berth  plan | berth plan | true",
                "RE: re : Fwd: Berth plan | berth plan | true",
                "[office] Berth plan | berth plan | false",
                "[office] Re: [crew] Berth plan (fwd) | berth plan | true",
                "Re[2]: Berth plan | berth plan | true",
                "[fwd: Berth plan] | berth plan | true",
                "Regatta | regatta | false",
                "[office] | [office] | false",
                "Re: | '' | true",
            })
    void isWhatTheConversationIsAbout(String subject, String base, boolean replyOrForward) {
        assertThat(BaseSubject.of(subject)).isEqualTo(new BaseSubject(base, replyOrForward));
    }

    @Test
    void marksAndCaseAreComparedHoweverTheyAreWritten() {
        assertThat(BaseSubject.of("Re: Gr\u00fc\u00dfe").text())
                .isEqualTo(BaseSubject.of("GRU\u0308SSE").text());
    }

    @Test
    void aHostileSubjectIsCut() {
        assertThat(BaseSubject.of("[".repeat(100_000)).text()).hasSizeLessThanOrEqualTo(500);
        assertThat(BaseSubject.of("re: ".repeat(100_000)).replyOrForward()).isTrue();
    }
}
