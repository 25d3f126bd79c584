package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** The time that was spent. It is Wednesday, 4 March. */
class SpentTimeTest extends ServerTest {

    private static final String WEEK = "?from=2026-03-02&to=2026-03-08";

    private final UUID bell = UUID.randomUUID();
    private SignedIn me;

    @Autowired
    private TestClock clock;

    @BeforeEach
    void twentyMinutesOnMonday() {
        me = newAccount();
        capture(me, captured(bell, "Polish the bell", ""));
        add("2026-03-02", "09:00", 20);
    }

    @AfterEach
    void stand() {
        clock.stand();
    }

    private void add(String day, String from, int minutes) {
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/" + bell + "/work",
                "{\"minutes\":" + minutes + ",\"day\":\"" + day + "\",\"from\":\"" + from + "\"}");
    }

    private JsonNode week() {
        return get(me, "/api/time" + WEEK);
    }

    private JsonNode line() {
        return week().path("groups").path(0).path("lines").path(0);
    }

    private String stint() {
        return line().path("stints").path(0).asString("");
    }

    @Test
    void isPutRightWithATraceAndTakenBack() {
        assertThat(week().path("minutes").asInt(0)).isEqualTo(20);
        assertThat(line().path("corrected").asBoolean(true)).isFalse();
        String command = change(
                me,
                HttpMethod.PUT,
                "/api/time/entries/" + stint(),
                "{\"day\":\"2026-03-03\",\"from\":\"10:15\",\"minutes\":45}");
        assertThat(week().path("groups").path(0).path("key").asString("")).isEqualTo("2026-03-03");
        assertThat(line().path("from").asString("")).startsWith("2026-03-03T10:15");
        assertThat(line().path("minutes").asInt(0)).isEqualTo(45);
        assertThat(line().path("corrected").asBoolean(false)).isTrue();
        assertThat(get(me, "/api/history/" + stint()).toString()).contains("Time corrected to 45 min instead of 20");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(week().path("minutes").asInt(0)).isEqualTo(20);
        assertThat(line().path("corrected").asBoolean(true)).isFalse();
    }

    @Test
    void isTakenAwayAndBroughtBack() {
        String command = change(me, HttpMethod.DELETE, "/api/time/entries/" + stint(), "");
        assertThat(week().path("minutes").asInt(-1)).isZero();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(week().path("minutes").asInt(0)).isEqualTo(20);
    }

    @Test
    void isNobodyElsesAndNotInTheTimeToCome() {
        SignedIn other = newAccount();
        assertThat(get(other, "/api/time" + WEEK).path("minutes").asInt(-1)).isZero();
        String entry = "/api/time/entries/" + stint();
        assertThat(tryChange(other, HttpMethod.DELETE, entry, "")).isEmpty();
        assertThat(tryChange(me, HttpMethod.PUT, entry, "{\"day\":\"2026-03-09\",\"from\":\"10:00\",\"minutes\":5}"))
                .isEmpty();
        assertThat(call(me, HttpMethod.GET, "/api/time?from=2026-03-08&to=2026-03-02", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        assertThat(call(me, HttpMethod.GET, "/api/time?from=2020-03-08&to=2026-03-02", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        assertThat(week().path("minutes").asInt(0)).isEqualTo(20);
    }

    @Test
    void isRoundedAndBilledOnPaperAndAsATable() throws IOException {
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/time",
                "{\"minutes\":15,\"up\":true,\"byDay\":false,\"currency\":\"EUR\",\"rates\":[{\"category\":null,"
                        + "\"perHour\":80}]}");
        assertThat(week().path("rounded").asInt(0)).isEqualTo(30);
        assertThat(week().path("amount").asDouble(0)).isEqualTo(40);
        try (PDDocument pdf = Loader.loadPDF(call(me, HttpMethod.GET, "/api/time.pdf" + WEEK + "&by=CATEGORY", "")
                .getResponse()
                .getContentAsByteArray())) {
            assertThat(new PDFTextStripper().getText(pdf).replaceAll("\\s+", " "))
                    .contains("Time spent, 2 Mar 2026 to 8 Mar 2026", "Without a category", "0:30 (0:20) 40.00");
        }
        String csv = new String(
                call(me, HttpMethod.GET, "/api/time.csv" + WEEK, "")
                        .getResponse()
                        .getContentAsByteArray(),
                StandardCharsets.UTF_8);
        List<CSVRecord> rows = CSVParser.parse(
                        csv.substring(1),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
        assertThat(rows).singleElement().satisfies(row -> {
            assertThat(row.get("Day")).isEqualTo("2026-03-02");
            assertThat(row.get("From")).isEqualTo("09:00");
            assertThat(row.get("Follow-up")).isEqualTo("Polish the bell");
            assertThat(row.get("Minutes measured")).isEqualTo("20");
            assertThat(row.get("Hours")).isEqualTo("0.50");
            assertThat(row.get("Amount")).isEqualTo("40.00");
        });
    }

    @Test
    void aForgottenClockAsksAndIsPutRight() {
        change(me, HttpMethod.POST, "/api/follow-ups/" + bell + "/work/start", "");
        JsonNode running = get(me, "/api/time/running").path("clock");
        assertThat(running.path("title").asString("")).isEqualTo("Polish the bell");
        assertThat(running.path("forgotten").asBoolean(true)).isFalse();
        clock.forward(Duration.ofHours(30));
        JsonNode forgotten = get(me, "/api/time/running").path("clock");
        assertThat(forgotten.path("forgotten").asBoolean(false)).isTrue();
        String from = forgotten.path("from").asString("");
        change(
                me,
                HttpMethod.PUT,
                "/api/time/entries/" + forgotten.path("stintId").asString(""),
                "{\"day\":\"" + from.substring(0, 10) + "\",\"from\":\"" + from.substring(11, 16) + "\",\"minutes\":"
                        + forgotten.path("proposedMinutes").asInt(0) + "}");
        assertThat(get(me, "/api/time/running").path("clock").isNull()).isTrue();
    }
}
