package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.search.Indexing;
import tools.jackson.databind.JsonNode;

/** People with all their addresses, what is open with them, and what waits for the next talk. */
class PeopleTest extends ServerTest {

    private static final String TILDA = "tilda@brandt-cranes.example";
    private static final String AT_HOME = "tb@private.example";

    @Autowired
    private Indexing indexing;

    private SignedIn me;

    @BeforeEach
    void tildaWritesFromTwoAddresses() {
        me = newAccount();
        arrive(
                me,
                mail(1, "a@x.example", "Berth list", "", "Could you send me the berth list?"),
                mail(
                        2,
                        "b@x.example",
                        "Tilda Brandt <" + AT_HOME + ">",
                        "Key",
                        "",
                        "Could you bring the key?",
                        MONDAY.plusSeconds(500)),
                mine(
                        3,
                        "c@x.example",
                        "z@x.example",
                        "Could you tell me when the crane comes?",
                        MONDAY.plusSeconds(900)));
        indexing.catchUp();
    }

    private JsonNode person(String address) {
        return get(me, "/api/people/" + address);
    }

    private static List<String> texts(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(each -> each.path(field).asString(""))
                .toList();
    }

    @Test
    void areListedWithWhatIsOpenWithThem() {
        JsonNode people = get(me, "/api/people");
        assertThat(texts(people, "id")).containsExactlyInAnyOrder(TILDA, AT_HOME);
        JsonNode tilda = person(TILDA);
        assertThat(tilda.path("name").asString("")).isEqualTo("Tilda Brandt");
        assertThat(texts(tilda.path("owed"), "what")).singleElement().asString().contains("berth list");
        assertThat(texts(tilda.path("owing"), "what"))
                .singleElement()
                .asString()
                .contains("when the crane comes");
        assertThat(tilda.path("usualMinutes").isNull()).isTrue();
        assertThat(texts(get(me, "/api/people?q=private"), "id")).containsExactly(AT_HOME);
    }

    @Test
    void twoAddressesOfTheSameNameAreProposedMergedAndTakenApartAgain() {
        assertThat(texts(person(TILDA).path("alike"), "id")).containsExactly(AT_HOME);
        String command =
                change(me, HttpMethod.POST, "/api/people/" + AT_HOME + "/merge", "{\"into\":\"" + TILDA + "\"}");
        JsonNode one = person(AT_HOME);
        assertThat(one.path("id").asString("")).isEqualTo(TILDA);
        assertThat(texts(one.path("addresses"), "address")).containsExactly(TILDA, AT_HOME);
        assertThat(one.path("owed").size()).isEqualTo(2);
        assertThat(one.path("alike").size()).isZero();
        assertThat(get(me, "/api/people").size()).isEqualTo(1);
        assertThat(tryChange(me, HttpMethod.POST, "/api/people/" + AT_HOME + "/merge", "{\"into\":\"" + TILDA + "\"}"))
                .as("one person already")
                .isEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/people").size()).isEqualTo(2);
        change(me, HttpMethod.POST, "/api/people/" + AT_HOME + "/merge", "{\"into\":\"" + TILDA + "\"}");
        change(me, HttpMethod.POST, "/api/people/" + AT_HOME + "/split", "");
        assertThat(person(AT_HOME).path("id").asString("")).isEqualTo(AT_HOME);
    }

    private String matter(UUID id, String text, boolean done) {
        return change(
                me,
                HttpMethod.PUT,
                "/api/people/" + TILDA + "/talk/" + id,
                "{\"text\":\"" + text + "\",\"done\":" + done + "}");
    }

    @Test
    void mattersForTheNextTalkAreKeptEachForItself() {
        UUID winch = UUID.randomUUID();
        UUID oar = UUID.randomUUID();
        matter(winch, " the winch ", false);
        String command = matter(oar, "the oar", false);
        matter(winch, "the winch", true);
        assertThat(texts(person(TILDA).path("talk"), "text")).containsExactly("the winch", "the oar");
        assertThat(person(TILDA).path("talk").path(0).path("done").asBoolean(false))
                .isTrue();
        assertThat(tryChange(
                        me, HttpMethod.PUT, "/api/people/" + TILDA + "/talk/" + oar, "{\"text\":\" \",\"done\":false}"))
                .as("says nothing")
                .isEmpty();
        change(me, HttpMethod.DELETE, "/api/people/" + TILDA + "/talk/" + winch, "");
        assertThat(texts(person(TILDA).path("talk"), "text")).containsExactly("the oar");
        assertThat(get(newAccount(), "/api/people/" + TILDA).path("talk").size())
                .isZero();
        assertThat(command).isNotEmpty();
    }

    @Test
    void aNoteThatWasChangedElsewhereIsNotWrittenOver() {
        String path = "/api/people/" + TILDA + "/note";
        String command = change(me, HttpMethod.PUT, path, "{\"note\":\"Prefers the phone\",\"was\":\"\"}");
        assertThat(tryChange(me, HttpMethod.PUT, path, "{\"note\":\"Prefers mail\",\"was\":\"\"}"))
                .isEmpty();
        assertThat(person(TILDA).path("note").asString("")).isEqualTo("Prefers the phone");
        change(me, HttpMethod.PUT, path, "{\"note\":\"Both\",\"was\":\"Prefers the phone\"}");
        assertThat(get(newAccount(), "/api/people/" + TILDA).path("note").asString("x"))
                .isEmpty();
        assertThat(tryChange(me, HttpMethod.POST, "/api/commands/" + command + "/undo", ""))
                .as("changed since")
                .isEmpty();
        assertThat(person(TILDA).path("note").asString("")).isEqualTo("Both");
    }

    /** What is taken back is that merge and no other. */
    @Test
    void oneMergeIsTakenBackAfterAnother() {
        String first = change(me, HttpMethod.POST, "/api/people/" + AT_HOME + "/merge", "{\"into\":\"" + TILDA + "\"}");
        change(me, HttpMethod.POST, "/api/people/a@y.example/merge", "{\"into\":\"b@y.example\"}");
        change(me, HttpMethod.POST, "/api/commands/" + first + "/undo", "");
        assertThat(person(AT_HOME).path("id").asString("")).isEqualTo(AT_HOME);
        assertThat(person("a@y.example").path("id").asString("")).isEqualTo("b@y.example");
    }

    @Test
    void followUpsWithThemAreThereWhetherTheyWroteOrAreNamed() {
        String message = StreamSupport.stream(
                        get(me, "/api/intake").path("lines").spliterator(), false)
                .filter(line -> line.path("about").asString("").contains("key"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString("");
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + UUID.randomUUID(),
                "{\"title\":\"Bring the key\",\"firm\":false}");
        assertThat(texts(person(AT_HOME).path("followUps"), "title")).containsExactly("Bring the key");
        assertThat(person(TILDA).path("followUps").size()).isZero();
    }

    private static final String CARDS = """
            BEGIN:VCARD
            VERSION:4.0
            FN:Tilda Brandt-Hale
            EMAIL;PREF=1:tilda@brandt-cranes.example
            EMAIL:tb@private.example
            TEL;TYPE=cell:+44 7700 900123
            ORG:Brandt Cranes
            END:VCARD
            BEGIN:VCARD
            VERSION:3.0
            FN:No Address
            END:VCARD
            """;

    private MvcTestResult takeIn(String cards) {
        return mvc.post()
                .uri("/api/people/cards")
                .with(csrf())
                .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .contentType("text/vcard")
                .content(cards.getBytes(StandardCharsets.UTF_8))
                .exchange();
    }

    @Test
    void aVCardBringsNumbersHouseAndAddressesWithOneWayBack() throws Exception {
        MvcTestResult done = takeIn(CARDS);
        assertThat(done).hasStatusOk();
        String text = done.getResponse().getContentAsString();
        assertThat(text).contains("One person from a vCard; 1 without a mail address left out");
        JsonNode one = person(AT_HOME);
        assertThat(one.path("id").asString("")).isEqualTo(TILDA);
        assertThat(one.path("name").asString("")).isEqualTo("Tilda Brandt-Hale");
        assertThat(one.path("details").path("organisation").asString("")).isEqualTo("Brandt Cranes");
        assertThat(texts(one.path("details").path("phones"), "kind")).containsExactly("mobile");
        assertThat(texts(get(me, "/api/people"), "organisation")).containsExactly("Brandt Cranes");
        String out = new String(
                call(me, HttpMethod.GET, "/api/people/" + TILDA + "/card.vcf?version=3.0", "")
                        .getResponse()
                        .getContentAsByteArray(),
                StandardCharsets.UTF_8);
        assertThat(out).contains("VERSION:3.0", "FN:Tilda Brandt-Hale", "ORG:Brandt Cranes", AT_HOME);
        assertThat(takeIn("BEGIN:VCARD\nEND:VCARD")).hasStatus4xxClientError();
        change(
                me,
                HttpMethod.POST,
                "/api/commands/" + text.replaceAll(".*\"commandId\":\"([^\"]+)\".*", "$1") + "/undo",
                "");
        assertThat(person(AT_HOME).path("id").asString("")).isEqualTo(AT_HOME);
        assertThat(person(TILDA).path("details").path("phones").size()).isZero();
    }

    @Test
    void whatStandsUnderALetterIsKnownWithTheLetter() {
        arrive(
                me,
                mail(
                        7,
                        "sig@x.example",
                        "Hook",
                        "",
                        "Could you look at the hook?\r\n\r\nKind regards\r\nTilda Brandt\r\nBrandt Cranes Ltd\r\n"
                                + "Mob: 07700 900456"));
        JsonNode details = person(TILDA).path("details");
        assertThat(details.path("phones").path(0).path("number").asString("")).isEqualTo("07700 900456");
        assertThat(details.path("phones").path(0).path("messageId").asString(""))
                .isEqualTo(messageId(me, "sig@x.example"));
        assertThat(details.path("organisation").asString("")).isEqualTo("Brandt Cranes Ltd");
    }

    @Test
    void aMeetingTodayWithThemOffersWhatWaitsForTheTalk() {
        String event = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\nBEGIN:VEVENT\r\nUID:talk-"
                + me.accountId()
                + "\r\nDTSTAMP:20260301T080000Z\r\nDTSTART:20260304T150000Z\r\nDTEND:20260304T160000Z\r\n"
                + "SUMMARY:Crane inspection\r\nATTENDEE;CN=Tilda:mailto:" + TILDA
                + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        assertThat(mvc.post()
                        .uri("/api/files")
                        .with(csrf())
                        .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                        .contentType("application/octet-stream")
                        .content(event.getBytes(StandardCharsets.UTF_8))
                        .exchange())
                .hasStatusOk();
        assertThat(texts(person(TILDA).path("meetings"), "title")).containsExactly("Crane inspection");
        assertThat(person(AT_HOME).path("meetings").size()).isZero();
        assertThat(get(me, "/api/talks").size()).isZero();
        matter(UUID.randomUUID(), "the winch", false);
        JsonNode talk = get(me, "/api/talks").path(0);
        assertThat(talk.path("name").asString("")).isEqualTo("Tilda Brandt");
        assertThat(talk.path("matters").path(0).asString("")).isEqualTo("the winch");
    }

    @Test
    void whoeverIsKnownFromAVCardAloneIsListedAndLookedUp() {
        assertThat(takeIn("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Otto Quill\r\nEMAIL:otto@pilots.example\r\n"
                        + "ORG:Merrow Pilots\r\nEND:VCARD\r\n"))
                .hasStatusOk();
        assertThat(texts(get(me, "/api/people"), "id")).contains("otto@pilots.example", TILDA);
        assertThat(texts(get(me, "/api/people?q=quill"), "name")).containsExactly("Otto Quill");
        assertThat(texts(get(me, "/api/people?q=pilots merrow"), "id")).containsExactly("otto@pilots.example");
        assertThat(get(me, "/api/people?q=%25").size()).as("no word of anybody").isZero();
        assertThat(texts(get(newAccount(), "/api/people"), "id")).isEmpty();
    }
}
