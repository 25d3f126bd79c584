package org.squallnote.sources.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.squallnote.sources.Reach;
import org.squallnote.sources.SyncStatus;
import org.squallnote.standins.calendar.CalendarServer;

/** Against the calendar server on a real socket, and a web server with one calendar. */
class CalendarSyncTest {

    private CalendarServer server;
    private String office;
    private final Kept kept = new Kept();

    /** Keeps everything in memory. */
    private static final class Kept implements CalendarJournal {

        private final Map<String, String> names = new TreeMap<>();
        private final Map<String, String> states = new HashMap<>();
        private final Map<String, Map<String, Changed>> objects = new HashMap<>();
        private final List<String> log = new ArrayList<>();

        @Override
        public void calendars(List<FoundCalendar> found) {
            names.clear();
            found.forEach(each -> names.put(each.href(), each.name()));
        }

        @Override
        public String state(String href) {
            return states.getOrDefault(href, "");
        }

        @Override
        public Map<String, String> etags(String href) {
            Map<String, String> etags = new HashMap<>();
            objects.getOrDefault(href, Map.of()).forEach((name, each) -> etags.put(name, each.etag()));
            return etags;
        }

        @Override
        public void save(String href, List<Changed> changed, List<String> gone, String state) {
            Map<String, Changed> of = objects.computeIfAbsent(href, h -> new TreeMap<>());
            changed.forEach(each -> of.put(each.href(), each));
            gone.forEach(of::remove);
            if (!state.isEmpty()) {
                states.put(href, state);
            }
            log.add(changed.size() + " put, " + gone.size() + " gone");
        }

        @Override
        public void replace(String href, String name, byte[] calendar, String state) {
            names.put(href, name);
            states.put(href, state);
            log.add("replaced by " + calendar.length + " bytes");
        }

        @Override
        public void unchanged(String href) {
            log.add("unchanged");
        }
    }

    private static final SyncStatus NOBODY = new SyncStatus() {
        @Override
        public void reading(int done, int total) {}

        @Override
        public void live() {}

        @Override
        public void trouble(String whatHappened) {}
    };

    @BeforeEach
    void start() throws IOException {
        server = CalendarServer.start(0);
        server.shelf().addUser("ines", "secret");
        office = server.shelf().addCalendar("ines", "office", "Harbour & office");
        server.shelf().addCalendar("ines", "tides", "Tides");
        put("surveyor", "Surveyor");
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private void put(String name, String title) {
        server.shelf()
                .put(
                        office,
                        name + ".ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:" + name + "\r\nSUMMARY:" + title
                                + "\r\nDTSTART:20260310T090000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
    }

    private CalendarSync sync(String address, String user, String password) {
        return new CalendarSync(
                new CalendarAccess(address, user, password), Reach.ANYWHERE, Duration.ofHours(1), kept, NOBODY);
    }

    private CalendarSync account() {
        return sync(server.address(), "ines", "secret");
    }

    private List<String> titles() {
        return kept.objects.getOrDefault(server.address() + office, Map.of()).values().stream()
                .map(each -> each.body().replaceAll("(?s).*SUMMARY:([^\r\n]*).*", "$1"))
                .toList();
    }

    @Test
    void anAccountIsFoundFromItsServerAndReadWhole() throws CalendarProblem {
        account().look();
        assertThat(kept.names.values()).containsExactly("Harbour & office", "Tides");
        assertThat(titles()).containsExactly("Surveyor");
        assertThat(kept.state(server.address() + office)).startsWith("sync:");
    }

    @Test
    void oneCalendarAndAHomeAreFoundByTheirOwnAddresses() throws CalendarProblem {
        sync(server.address() + office, "ines", "secret").look();
        assertThat(kept.names.values()).containsExactly("Harbour & office");
        sync(server.address() + "/calendars/ines/", "ines", "secret").look();
        assertThat(kept.names).hasSize(2);
    }

    @Test
    void onlyWhatHasChangedIsAskedFor() throws CalendarProblem {
        CalendarSync sync = account();
        sync.look();
        kept.log.clear();
        sync.look();
        assertThat(kept.log).containsExactly("unchanged", "unchanged");
        put("crew", "Crew round");
        put("surveyor", "Surveyor, moved");
        kept.log.clear();
        sync.look();
        assertThat(kept.log).containsExactly("2 put, 0 gone", "0 put, 0 gone", "unchanged");
        assertThat(titles()).containsExactly("Crew round", "Surveyor, moved");
        server.shelf().delete(office, "crew.ics");
        kept.log.clear();
        sync.look();
        assertThat(kept.log).containsExactly("0 put, 1 gone", "unchanged");
        assertThat(titles()).containsExactly("Surveyor, moved");
    }

    @Test
    void aTokenThatTheServerHasForgottenMeansComparing() throws CalendarProblem {
        CalendarSync sync = account();
        sync.look();
        put("crew", "Crew round");
        server.shelf().delete(office, "surveyor.ics");
        server.shelf().forgetChanges(office);
        sync.look();
        assertThat(titles()).containsExactly("Crew round");
    }

    @Test
    void manyComeInBatchesAndCountAsReadWithTheLast() throws CalendarProblem {
        for (int i = 0; i < 120; i++) {
            put("event-" + i, "Event " + i);
        }
        account().look();
        assertThat(titles()).hasSize(121);
        assertThat(kept.log).contains("50 put, 0 gone", "21 put, 0 gone");
    }

    @Test
    void aWrongPasswordAndNoCalendarAreSaid() {
        assertThatThrownBy(() -> sync(server.address(), "ines", "wrong").look())
                .hasMessageContaining("does not accept user and password");
        server.shelf().addUser("bo", "secret");
        assertThatThrownBy(() -> sync(server.address(), "bo", "secret").look()).hasMessageContaining("no calendar");
        assertThatThrownBy(() -> sync("http://127.0.0.1:1/", "", "").look())
                .hasMessageContaining("could not be reached");
        assertThatThrownBy(() -> sync("http://calendar.example/", "a", "b").look())
                .hasMessageContaining("Use https");
        assertThatThrownBy(() -> sync("calendar", "a", "b").look()).hasMessageContaining("https://");
        assertThat(new CalendarAccess("webcal://calendar.example/a.ics", "", "").uri())
                .hasToString("https://calendar.example/a.ics");
        assertThat(new CalendarAccess("https://a.example", "ines", "secret").toString())
                .doesNotContain("secret");
    }

    @Test
    void thePasswordGoesToNoOtherMachine() throws IOException {
        HttpServer elsewhere = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        elsewhere.createContext("/", exchange -> {
            exchange.getResponseHeaders().set("Location", "https://elsewhere.example/calendar");
            answer(exchange, 302, "");
        });
        elsewhere.start();
        try {
            assertThatThrownBy(() -> sync(
                                    "http://127.0.0.1:" + elsewhere.getAddress().getPort(), "ines", "secret")
                            .look())
                    .hasMessageContaining("sends on to elsewhere.example");
        } finally {
            elsewhere.stop(0);
        }
    }

    @Test
    void neitherDoesItWhereAServerNamesAPlaceElsewhere() throws IOException {
        HttpServer elsewhere = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        elsewhere.createContext(
                "/",
                exchange -> answer(
                        exchange,
                        207,
                        "<multistatus xmlns=\"DAV:\"><response><href>/</href><propstat><prop><current-user-principal>"
                                + "<href>http://localhost:1/ines/</href></current-user-principal></prop>"
                                + "<status>HTTP/1.1 200 OK</status></propstat></response></multistatus>"));
        elsewhere.start();
        try {
            assertThatThrownBy(() -> sync(
                                    "http://127.0.0.1:" + elsewhere.getAddress().getPort(), "ines", "secret")
                            .look())
                    .hasMessageContaining("sends on to localhost");
        } finally {
            elsewhere.stop(0);
        }
    }

    @Test
    void aSubscriptionIsAskedForWhenItHasChanged() throws Exception {
        String[] calendar = {"BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n", "\"1\""};
        List<String> asked = new ArrayList<>();
        HttpServer web = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        web.createContext("/", exchange -> {
            String condition = String.valueOf(exchange.getRequestHeaders().getFirst("If-None-Match"));
            asked.add(condition);
            exchange.getResponseHeaders().set("ETag", calendar[1]);
            boolean same = condition.equals(calendar[1]);
            answer(exchange, calendar[0].isEmpty() ? 503 : same ? 304 : 200, same ? "" : calendar[0]);
        });
        web.start();
        try {
            CalendarSync sync = sync("http://127.0.0.1:" + web.getAddress().getPort() + "/a.ics", "", "");
            sync.look();
            sync.look();
            calendar[1] = "\"2\"";
            sync.look();
            assertThat(kept.log).containsExactly("replaced by 32 bytes", "unchanged", "replaced by 32 bytes");
            assertThat(asked).containsExactly("null", "\"1\"", "\"1\"");
            calendar[0] = "";
            assertThatThrownBy(sync::look).hasMessageContaining("503");
            calendar[0] = "<html>Sign in</html>";
            calendar[1] = "\"3\"";
            assertThatThrownBy(sync::look).hasMessageContaining("no calendar");
            assertThat(kept.states).containsExactly(Map.entry("whole", "etag:\"2\""));
        } finally {
            web.stop(0);
        }
    }

    private static void answer(HttpExchange exchange, int status, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        exchange.getResponseBody().write(bytes);
        exchange.close();
    }

    @Test
    void tryingSaysWhatThereIs() {
        CalendarProbe.Result account =
                CalendarProbe.run(new CalendarAccess(server.address(), "ines", "secret"), Reach.ANYWHERE);
        assertThat(account.passed()).isTrue();
        assertThat(account.steps().get(1).detail()).isEqualTo("2: Harbour & office, Tides.");
        CalendarProbe.Result wrong =
                CalendarProbe.run(new CalendarAccess(server.address(), "ines", "wrong"), Reach.ANYWHERE);
        assertThat(wrong.passed()).isFalse();
        CalendarProbe.Result inside =
                CalendarProbe.run(new CalendarAccess(server.address(), "ines", "secret"), Reach.OUTSIDE);
        assertThat(inside.steps().get(0).detail()).contains("local network");
    }

    @Test
    void anAnswerThatIsNoWebDavOrLoadsSomethingIsRefused() {
        assertThatThrownBy(() -> Multistatus.read("<html>".getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("no WebDAV");
        assertThatThrownBy(() -> Multistatus.read("<!DOCTYPE a [<!ENTITY b SYSTEM \"file:///etc/hostname\">]><a>&b;</a>"
                        .getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("no WebDAV");
    }

    @Test
    void anEndDoesNotWaitForASilentServer() throws Exception {
        CountDownLatch asked = new CountDownLatch(1);
        CountDownLatch over = new CountDownLatch(1);
        HttpServer silent = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        silent.createContext("/", exchange -> {
            asked.countDown();
            try {
                over.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            exchange.close();
        });
        silent.start();
        CalendarSync sync = sync("http://127.0.0.1:" + silent.getAddress().getPort() + "/", "", "");
        try {
            sync.start();
            asked.await();
            sync.close();
            assertThat(sync.hasEnded()).isTrue();
        } finally {
            over.countDown();
            silent.stop(0);
        }
    }

    @Test
    void oneObjectIsTheSameHoweverItsPathIsEscaped() throws CalendarProblem {
        String answer = """
                <d:multistatus xmlns:d="DAV:"><d:response><d:href>/c/a%%40b%s.ics</d:href><d:status>HTTP/1.1 404 Not Found</d:status>
                </d:response></d:multistatus>""";
        assertThat(Multistatus.read(answer.formatted("%20c").getBytes(StandardCharsets.UTF_8))
                        .items())
                .extracting(Multistatus.Item::href)
                .containsExactly("/c/a@b%20c.ics");
        assertThat(Multistatus.read(answer.formatted("%2Fc").getBytes(StandardCharsets.UTF_8))
                        .items())
                .extracting(Multistatus.Item::href)
                .containsExactly("/c/a%40b%2Fc.ics");
    }
}
