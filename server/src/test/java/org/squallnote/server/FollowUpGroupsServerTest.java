package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Follow-ups by a facet, several decided at once, what fits here and now, and as files. It is Wednesday, 4 March. */
class FollowUpGroupsServerTest extends ServerTest {

    private final UUID ring = UUID.randomUUID();
    private final UUID order = UUID.randomUUID();
    private final UUID send = UUID.randomUUID();
    private SignedIn me;

    @BeforeEach
    void three() {
        me = newAccount();
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        String message = firstInIntake(me);
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + send,
                "{\"title\":\"Send the list\",\"replyDay\":\"2026-03-05\",\"firm\":true}");
        capture(me, captured(ring, "Ring the pilot", lying(5, "Phone")), captured(order, "=Order", lying(90, "")));
    }

    private static String lying(int minutes, String place) {
        return ",\"effortMinutes\":" + minutes + ",\"details\":{\"startDay\":null,\"place\":\"" + place
                + "\",\"people\":[],\"checklist\":[],\"note\":\"\"}";
    }

    private List<String> groups(String by) {
        return StreamSupport.stream(get(me, "/api/follow-ups/groups?by=" + by).spliterator(), false)
                .map(each ->
                        each.path("key").asString("") + "|" + each.path("name").asString("") + "|"
                                + each.path("followUps").size() + "|"
                                + each.path("minutes").asInt(0))
                .toList();
    }

    @Test
    void standInGroupsByAFacet() {
        assertThat(groups("PLACE")).containsExactly("phone|Phone|1|5", "||2|105");
        assertThat(groups("PERSON")).containsExactly("tilda@brandt-cranes.example|Tilda Brandt|1|15", "||2|95");
        assertThat(groups("SOURCE")).hasSize(2).first().asString().contains("|Ines|1|15");
        assertThat(groups("EFFORT")).containsExactly("5||1|5", "120||1|90", "||1|15");
        assertThat(get(newAccount(), "/api/follow-ups/groups?by=PLACE").size()).isZero();
    }

    private String decide(String more, UUID... ids) {
        return change(me, HttpMethod.POST, "/api/follow-ups/decisions", decision(more, ids));
    }

    private static String decision(String more, UUID... ids) {
        return "{\"ids\":["
                + String.join(
                        ",", Arrays.stream(ids).map(id -> "\"" + id + "\"").toList()) + "]," + more + "}";
    }

    @Test
    void severalAreDecidedAtOnceWithOneWayBack() {
        String command = decide("\"kind\":\"PRIORITY\",\"priority\":\"HIGH\"", ring, order, send);
        assertThat(groups("PRIORITY")).containsExactly("HIGH||3|110");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(groups("PRIORITY")).containsExactly("NORMAL||3|110");
        decide("\"kind\":\"PLACE\",\"place\":\"Yard\"", ring, order);
        assertThat(groups("PLACE")).containsExactly("yard|Yard|2|95", "||1|15");
        decide("\"kind\":\"PERSON\",\"personName\":\"Otto\"", ring, send);
        assertThat(groups("PERSON")).containsExactly("otto|Otto|2|20", "||1|90");
        decide("\"kind\":\"DONE\"", ring, order);
        assertThat(get(me, "/api/follow-ups").path("open").size()).isEqualTo(1);
    }

    /** A request whose answer was lost is sent again. */
    @Test
    void theSameDecisionAgainChangesNothingTwice() {
        String again = UUID.randomUUID().toString();
        for (int i = 0; i < 2; i++) {
            assertThat(mvc.post()
                            .uri("/api/follow-ups/decisions")
                            .with(csrf())
                            .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                            .header("Idempotency-Key", again)
                            .contentType(MediaType.APPLICATION_JSON)
                            .content(decision("\"kind\":\"DONE\"", ring, order))
                            .exchange())
                    .hasStatusOk();
        }
        assertThat(get(me, "/api/follow-ups").path("open").size()).isEqualTo(1);
    }

    @Test
    void whatIsFirmIsPutOffPastItsDateOnlyWhenThatIsSaid() {
        String wish = "\"kind\":\"PUT_OFF\",\"day\":\"2026-03-10\"";
        assertThat(tryChange(me, HttpMethod.POST, "/api/follow-ups/decisions", decision(wish, ring, send)))
                .isEmpty();
        assertThat(get(me, "/api/follow-ups").path("later").size()).isZero();
        decide(wish + ",\"past\":true", ring, send);
        assertThat(get(me, "/api/follow-ups").path("later").size()).isEqualTo(2);
        String today = "\"kind\":\"PUT_OFF\",\"day\":\"2026-03-04\"";
        assertThat(tryChange(me, HttpMethod.POST, "/api/follow-ups/decisions", decision(today, order)))
                .isEmpty();
    }

    @Test
    void othersFollowUpsAreNeitherSeenNorDecided() {
        SignedIn other = newAccount();
        assertThat(tryChange(other, HttpMethod.POST, "/api/follow-ups/decisions", decision("\"kind\":\"DONE\"", ring)))
                .isEmpty();
        assertThat(get(other, "/api/follow-ups/here").path("followUps").size()).isZero();
        assertThat(text(other, "/api/follow-ups.csv")).doesNotContain("Ring the pilot");
    }

    @Test
    void hereAndNowIsWhatFits() {
        JsonNode here = get(me, "/api/follow-ups/here?place=phone&minutes=20");
        assertThat(here.path("places").path(0).asString("")).isEqualTo("Phone");
        assertThat(here.path("followUps").size()).isEqualTo(2);
        assertThat(get(me, "/api/follow-ups/here?place=Yard&minutes=10")
                        .path("followUps")
                        .size())
                .isZero();
        assertThat(get(me, "/api/follow-ups/here").path("minutes").asInt(0)).isPositive();
    }

    private String text(SignedIn who, String path) {
        return new String(
                call(who, HttpMethod.GET, path, "").getResponse().getContentAsByteArray(), StandardCharsets.UTF_8);
    }

    @Test
    void goOutAsATableAndAsTasks() {
        assertThat(text(me, "/api/follow-ups.csv"))
                .startsWith("\ufeffTitle,Reply by")
                .contains("Send the list,2026-03-05,,yes,,,normal,Tilda Brandt,,Tilda Brandt")
                .contains("'=Order,");
        String calendar = text(me, "/api/follow-ups.ics");
        assertThat(CalendarReader.isCalendar(calendar.getBytes(StandardCharsets.UTF_8)))
                .isTrue();
        assertThat(calendar).contains("SUMMARY:Ring the pilot").contains("DUE;VALUE=DATE:20260305");
    }

    private List<String> titlesByHand(String more) {
        List<String> ids = new java.util.ArrayList<>();
        get(me, "/api/follow-ups/groups?by=PRIORITY&byHand=true" + more)
                .forEach(group -> group.path("followUps").forEach(id -> ids.add(id.asString(""))));
        return ids;
    }

    @Test
    void standInTheOrderThatSomebodyGaveThem() {
        String command = change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/order",
                "{\"group\":[\"" + order + "\",\"" + send + "\",\"" + ring + "\"],\"moved\":[\"" + order + "\"]}");
        assertThat(titlesByHand("")).startsWith(order.toString());
        assertThat(titlesByHand("&only=PLACE:phone")).containsExactly(ring.toString());
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(titlesByHand("")).startsWith(send.toString());
        assertThat(tryChange(
                        newAccount(),
                        HttpMethod.POST,
                        "/api/follow-ups/order",
                        "{\"group\":[\"" + ring + "\"],\"moved\":[\"" + ring + "\"]}"))
                .as("somebody else's")
                .isEmpty();
    }

    @Test
    void anArrangementIsKeptUnderANameWithAKeyOfItsOwn() {
        String path = "/api/arrangements/" + UUID.randomUUID();
        String phone = "{\"name\":\"Phone\",\"letter\":\"p\",\"facet\":\"PERSON\",\"byHand\":true,\"only\":"
                + "[{\"facet\":\"PLACE\",\"key\":\"phone\",\"name\":\"Phone\"}]}";
        String command = change(me, HttpMethod.PUT, path, phone);
        JsonNode kept = get(me, "/api/arrangements").path(0);
        assertThat(kept.path("only").path(0).path("key").asString("")).isEqualTo("phone");
        assertThat(kept.path("byHand").asBoolean(false)).isTrue();
        assertThat(tryChange(me, HttpMethod.PUT, "/api/arrangements/" + UUID.randomUUID(), phone))
                .as("the key is taken")
                .isEmpty();
        assertThat(get(newAccount(), "/api/arrangements").size()).isZero();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/arrangements").size()).isZero();
    }

    @Test
    void theThreadSaysUpToWhenItWasDecided() {
        JsonNode line = get(me, "/api/follow-ups/" + send).path("messages").path(0);
        String thread = line.path("threadId").asString("");
        assertThat(get(me, "/api/threads/" + thread).path("lastDecided").asString(""))
                .isGreaterThan("2026-03-04T00:00:00Z");
    }

    @Test
    void aPlaceWithACommaIsOnePlace() {
        decide("\"kind\":\"PLACE\",\"place\":\"Yard, north\"", order);
        assertThat(titlesByHand("&only=PLACE:yard, north")).containsExactly(order.toString());
    }
}
