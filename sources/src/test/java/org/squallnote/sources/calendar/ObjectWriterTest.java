package org.squallnote.sources.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.squallnote.sources.Reach;
import org.squallnote.standins.calendar.CalendarServer;

/** Events are written once, and over nothing that others have written. */
class ObjectWriterTest {

    private CalendarServer server;
    private String office = "";
    private URI calendar;
    private ObjectWriter writer;

    @BeforeEach
    void start() throws IOException {
        server = CalendarServer.start(0);
        server.shelf().addUser("ines", "secret");
        office = server.shelf().addCalendar("ines", "office", "Office");
        calendar = URI.create(server.address()).resolve(office);
        writer = writer("secret");
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private ObjectWriter writer(String password) {
        return new ObjectWriter(
                new CalendarAccess(server.address(), "ines", password), Reach.ANYWHERE, ObjectWriter.Kind.EVENTS);
    }

    private static String event(String uid, String title) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:" + uid + "\r\nSUMMARY:" + title
                + "\r\nDTSTART:20260310T090000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    private Optional<ObjectWriter.Written> say(String uid, String title) throws CalendarProblem {
        String body = event(uid, title);
        // XML knows one kind of line ends only.
        Optional<String> there = Optional.of(body.replace("\r\n", "\n").strip());
        return writer.put(
                calendar,
                uid,
                now -> Optional.of(body)
                        .filter(it -> !now.map(ObjectWriter.Written::body).equals(there)));
    }

    private String only() {
        assertThat(server.shelf().size(office)).isEqualTo(1);
        return server.shelf().names(office).get(0);
    }

    @Test
    void whatIsWrittenAgainIsOneEvent() throws Exception {
        ObjectWriter.Written written = say("u1@x.example", "One").orElseThrow();
        assertThat(written.href()).isEqualTo(office + only());
        assertThat(written.etag()).isNotEmpty();
        assertThat(say("u1@x.example", "One")).as("nothing to change").isEmpty();
        say("u1@x.example", "Two");
        assertThat(server.shelf().body(office, only()).orElseThrow()).contains("SUMMARY:Two");
    }

    @Test
    void anEventThatLiesElsewhereInTheCalendarIsChangedThere() throws Exception {
        server.shelf().put(office, "from-another.ics", event("u1@x.example", "Old"));
        server.shelf().put(office, "other.ics", event("other@x.example", "Other"));
        assertThat(say("u1@x.example", "New").orElseThrow().href()).isEqualTo(office + "from-another.ics");
        assertThat(server.shelf().size(office)).isEqualTo(2);
        assertThat(server.shelf().body(office, "other.ics").orElseThrow()).contains("SUMMARY:Other");
    }

    @Test
    void whoeverIsFasterIsNotWrittenOver() throws Exception {
        server.shelf().put(office, "u1.ics", event("u1@x.example", "Old"));
        int[] turns = {0};
        writer.put(calendar, "u1@x.example", now -> {
            if (turns[0]++ == 0) {
                server.shelf().put(office, "u1.ics", event("u1@x.example", "Theirs"));
            }
            return now.map(it -> it.body().replace("SUMMARY:", "SUMMARY:Mine and "));
        });
        assertThat(turns[0]).isEqualTo(2);
        assertThat(server.shelf().body(office, "u1.ics").orElseThrow()).contains("SUMMARY:Mine and Theirs");
    }

    @Test
    void twoThatBeginAtOnceMakeOneEvent() throws Exception {
        int[] turns = {0};
        writer.put(calendar, "u1@x.example", now -> {
            if (turns[0]++ == 0) {
                try {
                    writer.put(calendar, "u1@x.example", other -> Optional.of(event("u1@x.example", "First")));
                } catch (CalendarProblem e) {
                    throw new IllegalStateException(e);
                }
            }
            return Optional.of(event("u1@x.example", now.isPresent() ? "Second" : "Blind"));
        });
        assertThat(server.shelf().body(office, only()).orElseThrow()).contains("SUMMARY:Second");
    }

    @Test
    void whatIsTakenAwayIsGoneOnce() throws Exception {
        say("u1@x.example", "One");
        assertThat(writer.remove(calendar, "u1@x.example", there -> true)).isPresent();
        assertThat(server.shelf().size(office)).isZero();
        assertThat(writer.remove(calendar, "u1@x.example", there -> true)).isEmpty();
    }

    @Test
    void aWrongPasswordAndACalendarThatIsGoneAreSaid() {
        assertThatThrownBy(() -> writer("wrong").put(calendar, "u", now -> Optional.of(event("u", "U"))))
                .isInstanceOf(CalendarProblem.class)
                .hasMessageContaining("user and password");
        assertThatThrownBy(() -> writer.put(
                        URI.create(server.address()).resolve("/calendars/bo/own/"),
                        "u",
                        now -> Optional.of(event("u", "U"))))
                .isInstanceOfSatisfying(
                        CalendarProblem.class,
                        problem -> assertThat(problem.isRefusal()).isTrue());
    }

    /** Some servers make no queries, and tell no entity tags. */
    @Test
    void aServerThatCanLittleKeepsOneEventToo() throws Exception {
        Map<String, String> kept = new ConcurrentHashMap<>();
        HttpServer plain = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        plain.createContext("/", exchange -> {
            String path = exchange.getRequestURI().getPath();
            byte[] body = exchange.getRequestBody().readAllBytes();
            String before = kept.get(path);
            String answer = "";
            int status = 405;
            if (exchange.getRequestMethod().equals("GET")) {
                status = before == null ? 404 : 200;
                answer = before == null ? "" : before;
            } else if (exchange.getRequestMethod().equals("PUT")) {
                boolean fresh = exchange.getRequestHeaders().containsKey("If-None-Match");
                status = fresh && before != null ? 412 : 201;
                if (status == 201) {
                    kept.put(path, new String(body, StandardCharsets.UTF_8));
                }
            }
            byte[] bytes = answer.getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
        plain.start();
        try {
            URI at = URI.create("http://127.0.0.1:" + plain.getAddress().getPort() + "/office/");
            ObjectWriter simple = new ObjectWriter(
                    new CalendarAccess(at.toString(), "", ""), Reach.ANYWHERE, ObjectWriter.Kind.EVENTS);
            simple.put(at, "u1", now -> Optional.of(event("u1", "One")));
            simple.put(at, "u1", now -> Optional.of(event("u1", now.isPresent() ? "Two" : "Blind")));
            assertThat(kept.values()).singleElement().asString().contains("SUMMARY:Two");
        } finally {
            plain.stop(0);
        }
    }
}
