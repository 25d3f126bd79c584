package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Follow-ups from files of other programs. It is Monday, 2 March. */
class TakeInTest extends ServerTest {

    private static final String TABLE = """
            Task;Due;Project;Effort
            Send Bo the drawings;9/3/2026;Berths;30
            Ring the slipway;25/3/2026;Moorings;1h
            ;10/3/2026;;
            No such day;31/2/2026;;
            """;

    private SignedIn me;
    private final UUID berths = UUID.randomUUID();

    @BeforeEach
    void somebodyWithACategory() {
        me = newAccount();
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + berths,
                "{\"name\":\"Berths\",\"hue\":\"MOSS\",\"letter\":null}");
    }

    private static String file(String name, String content, String more) {
        return "{\"name\":\"" + name + "\",\"content\":\""
                + Base64.getEncoder().encodeToString(content.getBytes(StandardCharsets.UTF_8))
                + "\",\"categories\":[]" + more + "}";
    }

    private JsonNode look(String name, String content, String more) {
        return json.readTree(call(me, HttpMethod.POST, "/api/take-in/look", file(name, content, more))
                .getResponse()
                .getContentAsByteArray());
    }

    private List<String> titles() {
        return StreamSupport.stream(get(me, "/api/follow-ups").path("open").spliterator(), false)
                .map(line -> line.path("title").asString(""))
                .sorted()
                .toList();
    }

    @Test
    void aTableIsLookedAtAndWhatIsWantedOfItIsTakenInWithOneWayBack() {
        JsonNode seen = look("tasks.csv", TABLE, "");
        assertThat(seen.path("sort").asString("")).isEqualTo("TABLE");
        assertThat(seen.path("table").path("separator").asString("")).isEqualTo(";");
        assertThat(seen.path("table").path("datesCertain").asBoolean(false)).isTrue();
        assertThat(seen.path("unknownCategories").path(0).asString("")).isEqualTo("Moorings");
        JsonNode lines = seen.path("lines");
        assertThat(lines).hasSize(4);
        assertThat(lines.get(0).path("replyDay").asString("")).isEqualTo("2026-03-09");
        assertThat(lines.get(0).path("categoryId").asString("")).isEqualTo(berths.toString());
        assertThat(lines.get(3).path("problems").path(0).asString("")).contains("31/2/2026");
        assertThat(titles()).as("looking changes nothing").isEmpty();

        String refused = "{\"file\":" + file("tasks.csv", TABLE, "") + ",\"lines\":[2,3,5]}";
        assertThat(call(me, HttpMethod.POST, "/api/take-in", refused)
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        assertThat(titles()).as("all or none").isEmpty();

        String mapped = file("tasks.csv", TABLE, "")
                .replace(
                        "\"categories\":[]",
                        "\"categories\":[{\"name\":\"Moorings\",\"categoryId\":\"" + berths + "\",\"isNew\":false}]");
        String taken = change(me, HttpMethod.POST, "/api/take-in", "{\"file\":" + mapped + ",\"lines\":[2,3]}");
        assertThat(titles()).containsExactly("Ring the slipway", "Send Bo the drawings");
        assertThat(get(me, "/api/follow-ups").path("open"))
                .allMatch(line -> line.path("categoryId").asString("").equals(berths.toString()));

        JsonNode again = look("tasks.csv", TABLE, "").path("lines");
        assertThat(again.get(0).path("taken").asBoolean(true)).isFalse();
        assertThat(again.get(0).path("remarks").path(0).asString("")).isEqualTo("Is there already.");

        change(me, HttpMethod.POST, "/api/commands/" + taken + "/undo", "");
        assertThat(titles()).isEmpty();
    }

    @Test
    void aCategoryThatIsNewIsMadeWithWhatIsOfItAndGoesWithIt() {
        UUID moorings = UUID.randomUUID();
        UUID unused = UUID.randomUUID();
        String made = file("tasks.csv", TABLE, "")
                .replace(
                        "\"categories\":[]",
                        "\"categories\":[{\"name\":\"Moorings\",\"categoryId\":\"" + moorings
                                + "\",\"isNew\":true},{\"name\":\"Of nothing\",\"categoryId\":\"" + unused
                                + "\",\"isNew\":true}]");
        JsonNode seen = json.readTree(call(me, HttpMethod.POST, "/api/take-in/look", made)
                .getResponse()
                .getContentAsByteArray());
        assertThat(seen.path("lines").get(1).path("categoryId").asString("")).isEqualTo(moorings.toString());
        assertThat(names()).as("looking makes none").containsExactly("Berths");

        String taken = change(me, HttpMethod.POST, "/api/take-in", "{\"file\":" + made + ",\"lines\":[2,3]}");
        assertThat(names()).containsExactly("Berths", "Moorings");
        assertThat(titles()).hasSize(2);

        change(me, HttpMethod.POST, "/api/commands/" + taken + "/undo", "");
        assertThat(names()).containsExactly("Berths");
        assertThat(titles()).isEmpty();
    }

    private List<String> names() {
        return StreamSupport.stream(get(me, "/api/categories").spliterator(), false)
                .map(category -> category.path("name").asString(""))
                .sorted()
                .toList();
    }

    @Test
    void whatIsTooLargeOrNotThereIsRefusedWhole() {
        assertThat(look("t.csv", "Task\n" + "x".repeat(4 * 1024 * 1024), "").toString())
                .contains("422", "fields");
        JsonNode many = look("t.csv", "Task\n" + "Ring Bo\n".repeat(5_010), "");
        assertThat(many.path("more").asBoolean(false)).isTrue();
        assertThat(many.path("lines")).hasSize(5_000);
        assertThat(StreamSupport.stream(many.path("lines").spliterator(), false)
                        .filter(line -> line.path("taken").asBoolean(false)))
                .as("the others say the same")
                .hasSize(1);
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/take-in",
                        "{\"file\":" + file("tasks.csv", TABLE, "") + ",\"lines\":[99]}"))
                .contains("nothing to be taken in at 99");
    }

    @Test
    void columnsAndTheOrderOfDatesAreReadAsIsSaid() {
        JsonNode seen = look(
                "t.csv",
                "a,b\n3/4/2026,Ring Bo\n",
                ",\"headed\":true,\"columns\":[\"REPLY_BY\",\"TITLE\"],\"monthFirst\":true");
        assertThat(seen.path("lines").get(0).path("replyDay").asString("")).isEqualTo("2026-03-04");
        assertThat(look("t.csv", "a,b\n3/4/2026,Ring Bo\n", ",\"headed\":false,\"columns\":[\"NOTE\",\"TITLE\"]")
                        .path("lines"))
                .hasSize(2);
    }

    @Test
    void tasksComeBackAsTheyDidThere() {
        String calendar = "BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VTODO\nSUMMARY:Water the plants\nDUE:20260309\n"
                + "RRULE:FREQ=WEEKLY;BYDAY=MO\nEND:VTODO\nEND:VCALENDAR\n";
        assertThat(look("plants.ics", calendar, "")
                        .path("lines")
                        .get(0)
                        .path("repeats")
                        .asString(""))
                .isEqualTo("every Monday");
        change(
                me,
                HttpMethod.POST,
                "/api/take-in",
                "{\"file\":" + file("plants.ics", calendar, "") + ",\"lines\":[1]}");
        String id = get(me, "/api/follow-ups").path("open").get(0).path("id").asString("");
        assertThat(get(me, "/api/follow-ups/" + id).path("repeats").asString(""))
                .isEqualTo("every Monday");
    }

    @Test
    void whatCannotBeReadSaysWhy() {
        assertThat(look("x.xlsx", "PK\u0003\u0004", "").path("detail").asString(""))
                .contains("as CSV there");
        assertThat(look("x.csv", "  \n", "").path("detail").asString("")).contains("empty");
        assertThat(look("x.csv", "a,b\n\"open", "").path("detail").asString("")).contains("never closed");
        assertThat(look("x.vcf", "BEGIN:VCARD\nVERSION:4.0\nFN:Bo\nEND:VCARD\n", "")
                        .path("detail")
                        .asString(""))
                .contains("people");
    }

    @Test
    void aCategoryOfSomebodyElseIsNotToBeHad() {
        SignedIn other = newAccount();
        String stolen = file("tasks.csv", TABLE, "")
                .replace(
                        "\"categories\":[]",
                        "\"categories\":[{\"name\":\"Moorings\",\"categoryId\":\"" + berths + "\",\"isNew\":false}]");
        assertThat(call(other, HttpMethod.POST, "/api/take-in/look", stolen)
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
    }
}
