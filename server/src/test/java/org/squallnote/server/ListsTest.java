package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Any list as it is seen, mailed to somebody or as a file. */
class ListsTest extends ServerTest {

    private static final String LIST = "{\"title\":\"Follow-ups by person\",\"words\":\"For Thursday.\","
            + "\"heading\":[\"What\",\"By\"],\"groups\":[{\"title\":\"Tilda\",\"rows\":[[\"=Send the plan\",\"5 Mar\"]]}]}";

    @Test
    void isMailedAsATableThatCanBeTakenBack() {
        SignedIn me = newAccount();
        sourceOf(me);
        String command =
                change(me, HttpMethod.POST, "/api/lists/mail", "{\"to\":\"otto@x.example\",\"list\":" + LIST + "}");
        String payload = jdbc.queryForObject(
                "select payload from outbox where owner = ? and kind = 'SEND_MAIL'", String.class, me.accountId());
        JsonNode mail = json.readTree(payload);
        String raw = new String(Base64.getDecoder().decode(mail.path("raw").asString("")), StandardCharsets.UTF_8);
        assertThat(raw)
                .contains("To: otto@x.example", "Subject: Follow-ups by person", "multipart/alternative", "<table")
                .contains("list.csv");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/outbox").size()).isZero();
    }

    @Test
    void isDefusedAsAFileAndRefusedWithoutAMailbox() {
        SignedIn me = newAccount();
        String csv = new String(
                call(me, HttpMethod.POST, "/api/lists/csv", LIST).getResponse().getContentAsByteArray(),
                StandardCharsets.UTF_8);
        assertThat(csv).contains("Group,What,By", "Tilda,'=Send the plan,5 Mar");
        jdbc.update("update source set removed_at = current_timestamp where owner = ?", me.accountId());
        assertThat(tryChange(
                        me, HttpMethod.POST, "/api/lists/mail", "{\"to\":\"otto@x.example\",\"list\":" + LIST + "}"))
                .isEmpty();
        assertThat(tryChange(me, HttpMethod.POST, "/api/lists/mail", "{\"to\":\"nobody\",\"list\":" + LIST + "}"))
                .isEmpty();
    }
}
