package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

class CategoriesTest extends ServerTest {

    private SignedIn me;
    private String crane;
    private String berths;

    @BeforeEach
    void twoCategories() {
        me = newAccount();
        crane = add("Crane", "CLAY", "c");
        berths = add("Berths", "TIDE", "b");
    }

    private String add(String name, String hue, String letter) {
        String id = UUID.randomUUID().toString();
        change(me, HttpMethod.POST, "/api/categories/" + id, form(name, hue, letter));
        return id;
    }

    private static String form(String name, String hue, String letter) {
        return "{\"name\":\"%s\",\"hue\":\"%s\",\"letter\":\"%s\"}".formatted(name, hue, letter);
    }

    private List<String> names() {
        List<String> names = new ArrayList<>();
        get(me, "/api/categories")
                .forEach(each -> names.add(
                        each.path("name").asString("") + (each.path("retired").asBoolean(false) ? " (retired)" : "")));
        return names;
    }

    private JsonNode named(String id) {
        for (JsonNode each : get(me, "/api/categories")) {
            if (each.path("id").asString("").equals(id)) {
                return each;
            }
        }
        throw new AssertionError("No category " + id);
    }

    @Test
    void areRenamedAndColouredAndGetAFittingMonogram() {
        change(me, HttpMethod.PUT, "/api/categories/" + crane + "?version=0", form("Lifting gear", "PLUM", "l"));

        assertThat(named(crane).path("monogram").asString("")).isEqualTo("Lg");
        assertThat(named(crane).path("hue").asString("")).isEqualTo("PLUM");
        assertThat(names()).containsExactly("Lifting gear", "Berths");
    }

    @Test
    void aNameOrKeyThatIsTakenIsRefusedWithWhatToDo() {
        String path = "/api/categories/" + UUID.randomUUID();
        assertThat(call(me, HttpMethod.POST, path, form("crane", "MOSS", "x")))
                .hasStatus(422)
                .bodyText()
                .contains("merge the two");
        assertThat(call(me, HttpMethod.POST, path, form("Slipway", "MOSS", "c")))
                .hasStatus(422)
                .bodyText()
                .contains("belongs to Crane");
        assertThat(call(me, HttpMethod.POST, path, form("Slipway", "MOSS", "?")))
                .hasStatus(422);
        assertThat(call(me, HttpMethod.POST, path, form("", "MOSS", ""))).hasStatus(422);
        assertThat(names()).hasSize(2);
    }

    @Test
    void areOrderedAndTheOrderIsUndone() {
        String command = change(me, HttpMethod.PUT, "/api/categories", "[\"" + berths + "\",\"" + crane + "\"]");
        assertThat(names()).containsExactly("Berths", "Crane");

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(names()).containsExactly("Crane", "Berths");
    }

    @Test
    void mergingMovesTheFollowUpsAndIsUndoneWhole() {
        arrive(me, mail(1, "a@x.example", "A", "", "Could you?"));
        String followUp = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + messageId(me, "a@x.example") + "/follow-ups/" + followUp,
                "{\"title\":\"Do it\",\"firm\":false,\"categoryId\":\"" + crane + "\"}");
        List<String> before = decidedState(me);

        String command = change(me, HttpMethod.POST, "/api/categories/" + crane + "/merge?into=" + berths, "");
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("categoryId")
                        .asString(""))
                .isEqualTo(berths);
        assertThat(names()).containsExactly("Crane (retired)", "Berths");

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(decidedState(me)).isEqualTo(before);
    }

    @Test
    void oneThatIsUsedIsNotUndoneAway() {
        String command =
                change(me, HttpMethod.POST, "/api/categories/" + UUID.randomUUID(), form("Slipway", "MOSS", "s"));
        String slipway = get(me, "/api/categories").path(2).path("id").asString("");
        arrive(me, mail(1, "a@x.example", "A", "", "Could you?"));
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + messageId(me, "a@x.example") + "/follow-ups/" + UUID.randomUUID(),
                "{\"title\":\"Do it\",\"firm\":false,\"categoryId\":\"" + slipway + "\"}");

        assertThat(call(me, HttpMethod.POST, "/api/commands/" + command + "/undo", ""))
                .hasStatus(409);
        assertThat(names()).contains("Slipway");
    }

    @Test
    void aRetiredOneIsUsedAgain() {
        change(me, HttpMethod.POST, "/api/categories/" + crane + "/retired?version=0&retired=true", "");
        assertThat(names()).contains("Crane (retired)");
        change(me, HttpMethod.POST, "/api/categories/" + crane + "/retired?version=1&retired=false", "");
        assertThat(names()).contains("Crane");
        assertThat(call(me, HttpMethod.POST, "/api/categories/" + crane + "/retired?version=0&retired=true", ""))
                .hasStatus(409);
    }
}
