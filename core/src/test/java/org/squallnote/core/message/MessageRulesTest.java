package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MessageRulesTest {

    @ParameterizedTest
    @CsvSource({
        "anna@x.example, Auto-Submitted, auto-replied, AUTO_REPLY",
        "anna@x.example, X-Autorespond, Yes, AUTO_REPLY",
        "anna@x.example, auto-submitted, auto-generated; type=x, BULK",
        "anna@x.example, Auto-Submitted, no, PERSON",
        "anna@x.example, List-Unsubscribe, <mailto:x@x.example>, BULK",
        "anna@x.example, Precedence, Bulk, BULK",
        "no-reply@x.example, X-Any, 1, BULK",
        "notifications+42@x.example, X-Any, 1, BULK",
        "MAILER-DAEMON@x.example, Return-Path, <>, BOUNCE",
        "norman@x.example, X-Any, 1, PERSON",
    })
    void natureFollowsFromHeaders(String from, String header, String value, Nature expected) {
        assertThat(nature(from, Map.of(header, value), Optional.empty(), Optional.empty()))
                .isEqualTo(expected);
    }

    @Test
    void structureComesBeforeHeaders() {
        Map<String, String> automatic = Map.of("Auto-Submitted", "auto-replied");
        assertThat(nature("postmaster@x.example", automatic, Optional.empty(), Optional.of("failed")))
                .isEqualTo(Nature.BOUNCE);
        assertThat(nature("postmaster@x.example", automatic, Optional.empty(), Optional.of("delayed")))
                .isEqualTo(Nature.BULK);
        assertThat(nature("anna@x.example", Map.of(), Optional.of("REQUEST"), Optional.empty()))
                .isEqualTo(Nature.INVITATION);
        assertThat(nature("anna@x.example", Map.of(), Optional.of("REPLY"), Optional.empty()))
                .isEqualTo(Nature.PERSON);
    }

    @Test
    void aDiscussionListIsWrittenByPeople() {
        Map<String, String> list = Map.of("List-Id", "<crew.x.example>", "List-Post", "<mailto:crew@x.example>");
        assertThat(nature("anna@x.example", list, Optional.empty(), Optional.empty()))
                .isEqualTo(Nature.PERSON);
    }

    @Test
    void identifiersAreReadFromWhateverStandsAroundThem() {
        assertThat(MessageIds.allIn("<a@x> (comment) <b@\r\n x>\t<broken <c@x>> nonsense <d"))
                .containsExactly("a@x", "b@x", "c@x");
        assertThat(MessageIds.firstIn("Your message of Monday")).isEmpty();
        assertThat(MessageIds.allIn("<\"a.b\"@x> <a.b@x> <\"a b\"@x>")).containsExactly("a.b@x", "a.b@x", "\"a b\"@x");
        assertThat(MessageIds.allIn("<i@x>".repeat(5_000))).hasSize(MessageIds.MOST_REFERENCES);
    }

    @Test
    void partiesAreTheSameByAddress() {
        Party tilda = new Party(" Tilda Brandt ", "Tilda@X.example");
        assertThat(tilda.isSameAs(new Party("", "tilda@x.EXAMPLE"))).isTrue();
        assertThat(tilda.shortName()).isEqualTo("Tilda");
        assertThat(new Party("Brandt, Tilda", "t@x").shortName()).isEqualTo("Tilda");
        assertThat(new Party("", "@tilda:x.example").shortName()).isEqualTo("@tilda:x.example");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "I'm on leave until 20 March and don't read this. Urgent: call Nils.",
                "i\u2019m out of office till monday, anything urgent please to the front desk",
                "Automatic reply: the yard is closed today.",
            })
    void aChatMessageThatSaysThatNobodyReadsIsAutomatic(String text) {
        assertThat(inChat(text)).isEqualTo(Nature.AUTO_REPLY);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "I'm on holiday until Monday, back in the office on Tuesday",
                "sorry, i'm out. can it wait until tomorrow? if it's urgent call me",
                "I'm on leave from Friday",
                "urgent: the gate is open",
                "I'm away from my desk, the list is in the drawer",
                "",
            })
    void aColleagueWhoSaysInAChatThatTheyAreAwayIsAPerson(String text) {
        assertThat(inChat(text)).isEqualTo(Nature.PERSON);
    }

    private static Nature inChat(String text) {
        return NatureRules.verdictOn(new NatureRules.Input(
                        Channel.CHAT,
                        new Party("Sue", "@sue:quay.example"),
                        "",
                        Headers.of(Map.of()),
                        Optional.empty(),
                        Optional.empty(),
                        text))
                .nature();
    }

    private static Nature nature(
            String from, Map<String, String> headers, Optional<String> calendar, Optional<String> delivery) {
        return NatureRules.verdictOn(new NatureRules.Input(
                        Channel.MAIL, new Party("", from), "A subject", Headers.of(headers), calendar, delivery, ""))
                .nature();
    }
}
