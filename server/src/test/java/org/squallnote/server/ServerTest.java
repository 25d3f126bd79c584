package org.squallnote.server;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.source.SourceStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The whole application on a database in memory, with the steps that its tests share. */
@SpringBootTest(
        properties = {
            // What looks by the clock is asked to by the tests of it.
            "squallnote.reminders.every=100000000",
            "squallnote.blocks.every=100000000",
            "squallnote.tasks.every=100000000",
            "squallnote.search.every=100000000",
            "springdoc.api-docs.enabled=true",
            "springdoc.api-docs.path=/v3/api-docs",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.default-consumes-media-type=application/json"
        })
@AutoConfigureMockMvc
@Import(TestClock.Configuration.class)
abstract class ServerTest {

    static final Instant MONDAY = Instant.parse("2026-03-02T09:00:00Z");
    static final String MINE = "ines@merrowquay.example";

    @Autowired
    MockMvcTester mvc;

    @Autowired
    JdbcTemplate jdbc;

    @Autowired
    AccountStore accounts;

    @Autowired
    SourceStore sources;

    @Autowired
    MailArrivals arrivals;

    @Autowired
    OwnerLocks locks;

    @Autowired
    JsonMapper json;

    @DynamicPropertySource
    static void places(DynamicPropertyRegistry registry) throws Exception {
        Path folder = Files.createTempDirectory("squallnote-test");
        registry.add("data", folder::toString);
        registry.add("spring.datasource.url", () -> "jdbc:h2:mem:" + UUID.randomUUID());
    }

    /** A fresh account with a mailbox, whose engine is not running. */
    private final List<UUID> made = new ArrayList<>();

    /** Accounts of one test read no mailbox together with those of another one. */
    @AfterEach
    void nobodyReadsOn() {
        made.forEach(id -> jdbc.update("update source set removed_at = current_timestamp where owner = ?", id));
    }

    SignedIn newAccount() {
        UUID id = UUID.randomUUID();
        made.add(id);
        accounts.insert(new Account(id, "user-" + id, "Ines Calloway", "none", "Europe/London", false, MONDAY));
        sources.insert(SourceBuilder.builder()
                .id(UUID.randomUUID())
                .owner(id)
                .kind(SourceKind.MAIL)
                .name("Ines")
                .address(MINE)
                .settings(MAIL_SETTINGS)
                .secret(new byte[0])
                .daysBack(90)
                .archiveRule(ArchiveRule.NEVER)
                .addedAt(Instant.parse("2026-03-04T09:00:00Z"))
                .status(SourceStatus.LIVE)
                .statusText("")
                .build());
        return new SignedIn(id, "Ines Calloway", "Europe/London", false);
    }

    private static final String MAIL_SETTINGS = """
            {"imap":{"host":"127.0.0.1","port":1,"encryption":"NONE"},"smtp":{"host":"127.0.0.1","port":1,"encryption":"NONE"},
             "user":"ines","fromName":"Ines","inbox":"INBOX","sent":"Sent","archive":"Archive","pinnedCertificate":null}""";

    UUID sourceOf(SignedIn me) {
        return sources.of(me.accountId()).get(0).id();
    }

    MailArrivals.Outcome arrive(SignedIn me, ArrivedMail... mail) {
        return locks.write(
                me.accountId(),
                () -> arrivals.takeIn(
                        new MailArrivals.Origin(me.accountId(), sourceOf(me), "INBOX", 1, false, false),
                        List.of(mail)));
    }

    /** A mail of Tilda's to me; {@code references} as in the header. */
    static ArrivedMail mail(long uid, String id, String subject, String references, String text) {
        return mail(
                uid,
                id,
                "Tilda Brandt <tilda@brandt-cranes.example>",
                subject,
                references,
                text,
                MONDAY.plusSeconds(uid * 60));
    }

    static ArrivedMail mail(
            long uid, String id, String from, String subject, String references, String text, Instant sentAt) {
        String raw = "Message-ID: <" + id + ">\r\nFrom: " + from + "\r\nTo: <" + MINE + ">\r\nSubject: " + subject
                + (references.isEmpty() ? "" : "\r\nReferences: " + references)
                + "\r\nDate: " + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC))
                + "\r\n\r\n" + text + "\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        return new ArrivedMail(uid, sentAt, RawMail.of(bytes), MailParser.parse(bytes));
    }

    /** A mail of mine to Tilda, as it is found among the sent. */
    static ArrivedMail mine(long uid, String id, String answers, String text, Instant sentAt) {
        String raw = "Message-ID: <" + id + ">\r\nFrom: <" + MINE + ">\r\nTo: <tilda@brandt-cranes.example>\r\n"
                + "References: <" + answers + ">\r\nSubject: Re: Crane\r\nDate: "
                + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC)) + "\r\n\r\n" + text
                + "\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        return new ArrivedMail(uid, sentAt, RawMail.of(bytes), MailParser.parse(bytes));
    }

    /** A mail that I have sent to somebody. */
    static ArrivedMail ownMail(long uid, String id, String to, String subject) {
        Instant sentAt = MONDAY.plusSeconds(uid * 60);
        String raw = "Message-ID: <" + id + ">\r\nFrom: <" + MINE + ">\r\nTo: <" + to + ">\r\nSubject: " + subject
                + "\r\nDate: " + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC))
                + "\r\n\r\nSee above.\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        return new ArrivedMail(uid, sentAt, RawMail.of(bytes), MailParser.parse(bytes));
    }

    MvcTestResult call(SignedIn me, HttpMethod method, String path, String body) {
        var request = mvc.method(method)
                .uri(path)
                .with(csrf())
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body);
        if (me != null) {
            request = request.with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())));
        }
        return request.exchange();
    }

    /**
     * A follow-up that comes from no message, as it is captured.
     *
     * @param more further properties of its content, each after a comma; empty for none
     */
    static String captured(UUID id, String title, String more) {
        return "{\"id\":\"" + id + "\",\"sentence\":\"\",\"content\":{\"title\":\"" + title + "\",\"firm\":false" + more
                + "}}";
    }

    /** Captures some. */
    void capture(SignedIn me, String... captured) {
        change(me, HttpMethod.POST, "/api/follow-ups", "{\"followUps\":[" + String.join(",", captured) + "]}");
    }

    /** The first message of Intake. */
    String firstInIntake(SignedIn me) {
        return get(me, "/api/intake").path("lines").path(0).path("id").asString("");
    }

    /** Puts bytes. */
    MvcTestResult upload(SignedIn me, String path, String content) {
        return mvc.put()
                .uri(path)
                .with(csrf())
                .with(authentication(new UsernamePasswordAuthenticationToken(me, null, List.of())))
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(content.getBytes(StandardCharsets.UTF_8))
                .exchange();
    }

    JsonNode get(SignedIn me, String path) {
        return json.readTree(call(me, HttpMethod.GET, path, "").getResponse().getContentAsByteArray());
    }

    /** A change that must work; answers its command id. */
    String change(SignedIn me, HttpMethod method, String path, String body) {
        MvcTestResult result = call(me, method, path, body);
        byte[] answer = result.getResponse().getContentAsByteArray();
        if (result.getResponse().getStatus() / 100 != 2) {
            throw new AssertionError(method + " " + path + ": " + new String(answer, StandardCharsets.UTF_8));
        }
        return json.readTree(answer).path("commandId").asString("");
    }

    /** A decision about some threads; answers its command id. */
    String decide(SignedIn me, String choice, String more, String... threads) {
        return change(me, HttpMethod.POST, "/api/threads/decisions", decision(choice, more, threads));
    }

    /** @param more such as {@code "reason":"ANSWERED"}; may be empty */
    static String decision(String choice, String more, String... threads) {
        return "{\"threadIds\":["
                + Arrays.stream(threads).map(id -> '"' + id + '"').collect(Collectors.joining(","))
                + "],\"choice\":\"" + choice + "\",\"endFollowUps\":false" + (more.isEmpty() ? "" : "," + more) + "}";
    }

    /** A change that may be refused; answers its command id, nothing when it was. */
    String tryChange(SignedIn me, HttpMethod method, String path, String body) {
        MvcTestResult result = call(me, method, path, body);
        return result.getResponse().getStatus() / 100 == 2
                ? json.readTree(result.getResponse().getContentAsByteArray())
                        .path("commandId")
                        .asString("")
                : "";
    }

    /** A request that must be refused; answers what it says. */
    String refusal(SignedIn me, HttpMethod method, String path, String body) {
        MvcTestResult result = call(me, method, path, body);
        String answer = new String(result.getResponse().getContentAsByteArray(), StandardCharsets.UTF_8);
        if (result.getResponse().getStatus() / 100 != 4) {
            throw new AssertionError(method + " " + path + " was not refused: " + answer);
        }
        return answer;
    }

    /** Waits for what engines do; says where it stands when that takes too long. */
    void until(SignedIn me, BooleanSupplier condition) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(30).toNanos();
        while (!condition.getAsBoolean()) {
            if (System.nanoTime() > end) {
                throw new AssertionError("waited too long: " + get(me, "/api/outbox") + get(me, "/api/sources"));
            }
            Thread.sleep(50);
        }
    }

    /** Takes all sources away, so that their engines end. */
    void disconnectAll(SignedIn me) {
        for (JsonNode source : get(me, "/api/sources")) {
            change(
                    me,
                    HttpMethod.DELETE,
                    "/api/sources/" + source.path("id").asString("") + "?version="
                            + source.path("version").asInt(0),
                    "");
        }
    }

    String messageId(SignedIn me, String mailId) {
        return String.valueOf(jdbc.queryForObject(
                "select id from message where owner = ? and message_id = ?", UUID.class, me.accountId(), mailId));
    }

    /** Everything that decisions change, as text, without the versions, which only count. */
    List<String> decidedState(SignedIn me) {
        List<String> state = new ArrayList<>();
        for (String query : List.of(
                "select id, decision, decided_at, put_off_until, correction, asks_me, ask, reply_day from message where owner = ? order by id",
                "select id, title, category_id, reply_day, reply_time, firm, effort_minutes, priority, for_reply, start_day, place, people, checklist, note, answer_seen, state, created_at, ended_at from follow_up where owner = ? order by id",
                "select follow_up_id, on_day, band, place_by_hand, starts_at, block_minutes from planned where owner = ? order by 1",
                "select id, follow_up_id, started_at, ended_at from stint where owner = ? order by id",
                "select id, repetition, pattern, since, current_id, at_time from series where owner = ? order by id",
                "select id, uid, participation, calendar_id from invitation_answer where owner = ? order by id",
                "select id, follow_up_id, kind, at, minutes_before, shown_at, settled from reminder where owner = ? order by id",
                "select id, name, counts from calendar where owner = ? order by id",
                "select follow_up_id, message_id, linked_at, sentence, snapshot from follow_up_message where owner = ? order by 1, 2",
                "select id, turn, since, hand_turn, hand_reason, hand_at, hand_last_known from thread where owner = ? order by id",
                "select party, asks, reply_days, past_intake from party_rule where owner = ? order by party",
                "select id, name, hue, monogram, letter, place, reply_days, retired_at from category where owner = ? order by id")) {
            jdbc.queryForList(query, me.accountId()).forEach(row -> state.add(row.toString()));
        }
        return state;
    }
}
