package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Every change of what an account has set is taken back, and that is taken back too. */
class SettingsUndoTest extends ServerTest {

    private final UUID id = UUID.randomUUID();

    /** Undo gives what was before, undo of that gives what was after. */
    private void isTakenBack(SignedIn me, String path, String command, JsonNode before) {
        JsonNode after = get(me, path);
        assertThat(after).isNotEqualTo(before);
        String undo = change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, path)).isEqualTo(before);
        change(me, HttpMethod.POST, "/api/commands/" + undo + "/undo", "");
        assertThat(get(me, path)).isEqualTo(after);
    }

    @Test
    void aPhrase() {
        SignedIn me = newAccount();
        String path = "/api/phrases/" + id;
        JsonNode none = get(me, "/api/phrases");
        String made = change(me, HttpMethod.PUT, path, "{\"name\":\"Received\",\"text\":\"Thank you, {name}\"}");
        isTakenBack(me, "/api/phrases", made, none);
        JsonNode one = get(me, "/api/phrases");
        isTakenBack(me, "/api/phrases", change(me, HttpMethod.PUT, path, "{\"name\":\"Got it\",\"text\":\"x\"}"), one);
        JsonNode changed = get(me, "/api/phrases");
        isTakenBack(me, "/api/phrases", change(me, HttpMethod.DELETE, path, ""), changed);
    }

    @Test
    void recipesAndTheirOrder() {
        SignedIn me = newAccount();
        UUID second = UUID.randomUUID();
        String form =
                "{\"name\":\"%s\",\"letter\":null,\"place\":%d,\"automatic\":false,\"conditions\":{\"sender\":\"\","
                        + "\"domain\":\"\",\"list\":\"\",\"room\":\"\",\"words\":[]},\"steps\":[{\"kind\":\"NOTHING\",\"title\":\"\","
                        + "\"place\":\"\",\"folder\":\"\",\"address\":\"\",\"note\":\"\"}]}";
        change(me, HttpMethod.PUT, "/api/recipes/" + id + "?version=0", form.formatted("First", 1));
        change(me, HttpMethod.PUT, "/api/recipes/" + second + "?version=0", form.formatted("Second", 2));
        String ordered = change(me, HttpMethod.PUT, "/api/recipes/order", "[\"" + second + "\",\"" + id + "\"]");
        assertThat(names(me)).isEqualTo("Second, First");
        change(me, HttpMethod.POST, "/api/commands/" + ordered + "/undo", "");
        assertThat(names(me)).isEqualTo("First, Second");
        String deleted = change(me, HttpMethod.DELETE, "/api/recipes/" + id, "");
        assertThat(names(me)).isEqualTo("Second");
        change(me, HttpMethod.POST, "/api/commands/" + deleted + "/undo", "");
        assertThat(names(me)).isEqualTo("First, Second");
    }

    private String names(SignedIn me) {
        StringBuilder names = new StringBuilder();
        get(me, "/api/recipes")
                .forEach(recipe -> names.append(names.length() == 0 ? "" : ", ")
                        .append(recipe.path("form").path("name").asString("")));
        return names.toString();
    }

    @Test
    void workingTime() {
        SignedIn me = newAccount();
        String path = "/api/settings/working-time";
        JsonNode before = get(me, path);
        ObjectNode form = (ObjectNode) before.path("form").deepCopy();
        form.put("replyDays", 5).put("region", "gb-eng");
        isTakenBack(me, path, change(me, HttpMethod.PUT, path, form.toString()), before);
    }

    @Test
    void keysAndTheCaptureAddress() {
        SignedIn me = newAccount();
        JsonNode before = get(me, "/api/preferences");
        String command = change(
                me,
                HttpMethod.PUT,
                "/api/preferences",
                "{\"keys\":{\"Answer\":\"b\"},\"captureAddress\":\"todo@merrowquay.example\"}");
        isTakenBack(me, "/api/preferences", command, before);
    }

    @Test
    void nameAndZone() {
        SignedIn me = newAccount();
        String command = change(me, HttpMethod.PUT, "/api/account", "{\"name\":\"Ines C\",\"zone\":\"Europe/Paris\"}");
        assertThat(accounts.byId(me.accountId()).orElseThrow().zone()).isEqualTo("Europe/Paris");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(accounts.byId(me.accountId()).orElseThrow().zone()).isEqualTo("Europe/London");
        assertThat(refusal(me, HttpMethod.PUT, "/api/account", "{\"name\":\"I\",\"zone\":\"Atlantis\"}"))
                .contains("There is no time zone Atlantis");
    }
}
