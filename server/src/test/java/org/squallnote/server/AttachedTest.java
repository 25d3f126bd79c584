package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.search.Indexing;
import tools.jackson.databind.JsonNode;

/** What lies with a follow-up: files, addresses, other follow-ups that are needed first. */
class AttachedTest extends ServerTest {

    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H', 'D', 'R'};

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private Indexing indexing;

    private final UUID chain = UUID.randomUUID();
    private final UUID moor = UUID.randomUUID();
    private SignedIn me;

    @BeforeEach
    void two() {
        me = newAccount();
        capture(me, captured(chain, "Order the chain", ""), captured(moor, "Lay the mooring", ""));
    }

    private JsonNode attached(UUID id) {
        return get(me, "/api/follow-ups/" + id + "/attached");
    }

    private MvcTestResult upload(SignedIn who, UUID followUp, UUID file, String name, byte[] bytes) {
        return mvc.put()
                .uri("/api/follow-ups/" + followUp + "/files/" + file + "?name=" + name)
                .with(csrf())
                .with(authentication(new UsernamePasswordAuthenticationToken(who, null, List.of())))
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(bytes)
                .exchange();
    }

    private MvcTestResult download(SignedIn who, UUID file) {
        return mvc.get()
                .uri("/api/follow-ups/" + chain + "/files/" + file + "?view=true")
                .with(authentication(new UsernamePasswordAuthenticationToken(who, null, List.of())))
                .exchange();
    }

    @Test
    void aFileIsStoredOnceCheckedAndOpenedSafely() throws Exception {
        UUID picture = UUID.randomUUID();
        UUID disguised = UUID.randomUUID();
        assertThat(upload(me, chain, picture, "quay.png", PNG)).hasStatusOk();
        assertThat(upload(me, moor, UUID.randomUUID(), "again.png", PNG)).hasStatusOk();
        assertThat(upload(
                        me,
                        chain,
                        disguised,
                        "page.png",
                        "<html><script>x</script></html>".getBytes(StandardCharsets.UTF_8)))
                .hasStatusOk();
        assertThat(jdbc.queryForObject(
                        "select count(distinct sha256) from follow_up_file where owner = ?",
                        Integer.class,
                        me.accountId()))
                .isEqualTo(2);
        JsonNode files = attached(chain).path("files");
        assertThat(files.path(0).path("type").asString("")).isEqualTo("image/png");
        assertThat(files.path(1).path("viewable").asBoolean(true))
                .as("its bytes say what it is")
                .isFalse();
        MvcTestResult shown = download(me, picture);
        assertThat(shown.getResponse().getContentAsByteArray()).isEqualTo(PNG);
        assertThat(shown.getResponse().getHeader("Content-Disposition")).startsWith("inline");
        assertThat(download(me, disguised).getResponse().getHeader("Content-Disposition"))
                .startsWith("attachment");
        SignedIn other = newAccount();
        assertThat(download(other, picture)).hasStatus(404);
        assertThat(upload(other, chain, UUID.randomUUID(), "x", PNG)).hasStatus(404);
    }

    @Test
    void aFileThatWasTakenAwayIsBroughtBack() throws Exception {
        UUID file = UUID.randomUUID();
        upload(me, chain, file, "a.txt", "Two shackles".getBytes(StandardCharsets.UTF_8));
        String command = change(me, HttpMethod.DELETE, "/api/follow-ups/" + chain + "/files/" + file, "");
        assertThat(attached(chain).path("files").size()).isZero();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(download(me, file).getResponse().getContentAsString()).isEqualTo("Two shackles");
        assertThat(upload(me, chain, UUID.randomUUID(), "large", new byte[25_000_001]))
                .as("larger than is allowed")
                .hasStatus4xxClientError();
        assertThat(attached(chain).path("files").size()).isEqualTo(1);
    }

    @Test
    void anAddressHasATitleAndMayNotRunAnything() {
        String path = "/api/follow-ups/" + chain + "/links/" + UUID.randomUUID();
        change(me, HttpMethod.PUT, path, "{\"url\":\"chandler.example/chain\",\"title\":\"\"}");
        assertThat(attached(chain).path("links").path(0).path("url").asString(""))
                .isEqualTo("https://chandler.example/chain");
        assertThat(tryChange(me, HttpMethod.PUT, path, "{\"url\":\"javascript:alert(1)\",\"title\":\"x\"}"))
                .isEmpty();
        change(me, HttpMethod.DELETE, path, "");
        assertThat(attached(chain).path("links").size()).isZero();
    }

    private void relate(UUID one, UUID other, String way) {
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + one + "/related/" + UUID.randomUUID(),
                "{\"otherId\":\"" + other + "\",\"way\":\"" + way + "\"}");
    }

    private List<String> inSight() {
        return get(me, "/api/follow-ups")
                .path("open")
                .valueStream()
                .map(each -> each.path("title").asString(""))
                .toList();
    }

    @Test
    void whatMustComeFirstHoldsBackWhatFollows() {
        relate(moor, chain, "NEEDED_FIRST");
        assertThat(inSight()).containsExactly("Order the chain");
        assertThat(attached(chain).path("related").path(0).path("way").asString(""))
                .isEqualTo("HELD_BACK");
        assertThat(tryChange(
                        me,
                        HttpMethod.PUT,
                        "/api/follow-ups/" + chain + "/related/" + UUID.randomUUID(),
                        "{\"otherId\":\"" + moor + "\",\"way\":\"NEEDED_FIRST\"}"))
                .as("each before the other")
                .isEmpty();
        String done = change(
                me, HttpMethod.POST, "/api/follow-ups/decisions", "{\"ids\":[\"" + chain + "\"],\"kind\":\"DONE\"}");
        assertThat(inSight()).containsExactly("Lay the mooring");
        assertThat(get(me, "/api/follow-ups").path("open").path(0).path("back").asBoolean(false))
                .isTrue();
        change(me, HttpMethod.POST, "/api/commands/" + done + "/undo", "");
        assertThat(inSight()).containsExactly("Order the chain");
    }

    @Test
    void itIsHeldBackAgainWhenWhatItNeedsIsOpenedAgainAndLetGoWithTheRelation() {
        relate(moor, chain, "NEEDED_FIRST");
        change(me, HttpMethod.POST, "/api/follow-ups/decisions", "{\"ids\":[\"" + chain + "\"],\"kind\":\"DROP\"}");
        int version =
                get(me, "/api/follow-ups/" + chain).path("line").path("version").asInt(-1);
        change(me, HttpMethod.POST, "/api/follow-ups/" + chain + "/state?state=OPEN&version=" + version, "");
        assertThat(inSight()).containsExactly("Order the chain");
        String relation = attached(moor).path("related").path(0).path("id").asString("");
        change(me, HttpMethod.DELETE, "/api/follow-ups/" + moor + "/related/" + relation, "");
        assertThat(inSight()).hasSize(2);
    }

    @Test
    void isFoundByTheNamesOfWhatLiesWithIt() {
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + chain + "/links/" + UUID.randomUUID(),
                "{\"url\":\"https://chandler.example\",\"title\":\"Galvanised catalogue\"}");
        UUID file = UUID.randomUUID();
        upload(me, chain, file, "shackleplan.txt", "Two".getBytes(StandardCharsets.UTF_8));
        indexing.catchUp();
        assertThat(get(me, "/api/search?q=galvanised")
                        .path("results")
                        .path(0)
                        .path("title")
                        .asString(""))
                .isEqualTo("Order the chain");
        assertThat(get(me, "/api/search?q=shackleplan").path("results").size()).isEqualTo(1);
        change(me, HttpMethod.DELETE, "/api/follow-ups/" + chain + "/files/" + file, "");
        indexing.catchUp();
        assertThat(get(me, "/api/search?q=%22shackleplan%22").path("results").size())
                .isZero();
    }

    /** The end of the one changes the other, which is ended right after it. */
    @Test
    void bothAreEndedAtOnceAndTakenBackAtOnce() {
        relate(moor, chain, "NEEDED_FIRST");
        String done = change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/decisions",
                "{\"ids\":[\"" + chain + "\",\"" + moor + "\"],\"kind\":\"DONE\"}");
        assertThat(inSight()).isEmpty();
        assertThat(get(me, "/api/follow-ups").path("ended").size()).isEqualTo(2);
        change(me, HttpMethod.POST, "/api/commands/" + done + "/undo", "");
        assertThat(inSight()).containsExactly("Order the chain");
        assertThat(get(me, "/api/follow-ups").path("waiting").size()).isEqualTo(1);
    }
}
