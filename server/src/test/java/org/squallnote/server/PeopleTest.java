package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
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
}
