package org.squallnote.sources.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.sources.Reach;
import org.squallnote.sources.SyncStatus;
import org.squallnote.standins.mail.MailStandIn;

class MailSyncTest {

    private static final String ADDRESS = "ines@merrowquay.example";
    private static final LocalDate SINCE = LocalDate.now(ZoneOffset.UTC).minusDays(90);

    private MailStandIn server;
    private final Journal journal = new Journal();

    @BeforeEach
    void open() {
        server = MailStandIn.start(0, 0);
        server.addMailbox(ADDRESS, "secret");
        server.addFolder(ADDRESS, "Sent");
    }

    @AfterEach
    void close() {
        server.close();
    }

    @Test
    void readsWhatIsThereAndWhatArrives() throws Exception {
        for (int i = 0; i < 120; i++) {
            put("INBOX", "old" + i, Instant.now().minus(Duration.ofDays(i % 80)));
        }
        put("INBOX", "ancient", Instant.now().minus(Duration.ofDays(200)));
        put("Sent", "mine", Instant.now());
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
            assertThat(journal.ids())
                    .hasSize(121)
                    .contains("old0", "old119", "mine")
                    .doesNotContain("ancient");
            journal.arrived.clear();
            server.deliver(raw("fresh"));
            assertThat(journal.arrived.poll(60, TimeUnit.SECONDS)).isEqualTo("fresh");
        }
    }

    @Test
    void whatComesJustBeforeTheWatchGoesToSleepIsSeen() throws Exception {
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
            for (int i = 0; i < 36; i++) {
                put("INBOX", "n" + i, Instant.now());
                assertThat(journal.arrived.poll(60, TimeUnit.SECONDS)).isEqualTo("n" + i);
                Thread.sleep(i % 12); // Falls into each step of the watch: saving, searching, going to sleep.
            }
        }
    }

    @Test
    void aServerThatFallsSilentIsNotLiveAndIsReadAgainOnceItAnswers() throws Exception {
        FolderWatch.Rounds quick = new FolderWatch.Rounds(Duration.ofMillis(300), Duration.ofMillis(900));
        try (StallingProxy proxy = new StallingProxy(server.imapPort());
                MailSync sync = new MailSync(accountAt(proxy.port()), SINCE, journal, journal, quick)) {
            sync.start();
            awaitLive();
            proxy.stall();
            assertThat(journal.statuses.poll(60, TimeUnit.SECONDS))
                    .as("nothing closes the connection, it only says nothing any more")
                    .isNotNull()
                    .isNotEqualTo("live");
            put("INBOX", "meanwhile", Instant.now());
            proxy.goOn();
            assertThat(journal.arrived.poll(120, TimeUnit.SECONDS)).isEqualTo("meanwhile");
        }
    }

    @Test
    void aRestartReadsOnlyWhatIsMissing() throws Exception {
        put("INBOX", "a", Instant.now());
        put("INBOX", "b", Instant.now());
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
        }
        // One of the batch was never put down, as if the application had been killed.
        journal.forget("a");
        put("INBOX", "c", Instant.now());
        int before = journal.saves;
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
        }
        assertThat(journal.ids()).containsExactlyInAnyOrder("a", "b", "c");
        assertThat(journal.saves - before).isLessThanOrEqualTo(2);
    }

    @Test
    void brokenMailDoesNotStopTheFolder() throws Exception {
        put("INBOX", "good1", Instant.now());
        server.put(
                ADDRESS,
                "INBOX",
                "no header at all, just bytes \u0000\u0001".getBytes(StandardCharsets.UTF_8),
                Instant.now());
        put("INBOX", "good2", Instant.now());
        journal.refuses = "good1";
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
        }
        assertThat(journal.ids()).contains("good2").doesNotContain("good1").hasSize(2);
    }

    @Test
    void aWrongPasswordIsExplained() throws Exception {
        MailAccount wrong = new MailAccount(ADDRESS, account().settings(), "wrong");
        try (MailSync sync = new MailSync(wrong, SINCE, journal, journal)) {
            sync.start();
            assertThat(journal.statuses.poll(60, TimeUnit.SECONDS)).contains("refused the user name or password");
        }
    }

    @Test
    void aNameThatLeadsIntoTheLocalNetworkByNowIsNotConnectedTo() throws Exception {
        MailAccount outside = new MailAccount(ADDRESS, account().settings(), "secret", Reach.OUTSIDE);
        try (MailSync sync = new MailSync(outside, SINCE, journal, journal)) {
            sync.start();
            assertThat(journal.statuses.poll(60, TimeUnit.SECONDS)).contains("lies inside the local network");
        }
        assertThat(new MailCourier(outside).send(raw("x"), () -> true))
                .isInstanceOfSatisfying(
                        MailCourier.Sending.TryLater.class,
                        later -> assertThat(later.why()).contains("lies inside the local network"));
        assertThat(server.messages(ADDRESS, "INBOX")).isEmpty();
    }

    @Test
    void theTestSaysStepByStepWhatWorks() {
        MailProbe.Result good = MailProbe.run(account());
        assertThat(good.passed()).isTrue();
        assertThat(good.folders().orElseThrow().sent()).contains("Sent");
        assertThat(good.steps()).extracting("name").startsWith("Reach the IMAP server", "Sign in to IMAP");

        MailSettings s = account().settings();
        MailSettings noServer = new MailSettings(
                new MailSettings.Server("127.0.0.1", 1, Encryption.TLS),
                s.smtp(),
                s.user(),
                "",
                "INBOX",
                s.sent(),
                s.archive(),
                s.drafts(),
                Optional.empty());
        MailProbe.Result bad = MailProbe.run(new MailAccount(ADDRESS, noServer, "secret"));
        assertThat(bad.steps().get(0).passed()).isFalse();
        assertThat(bad.steps().get(0).detail()).contains("Nothing answers on this port");

        MailSettings plainSpoken = new MailSettings(
                new MailSettings.Server("127.0.0.1", server.imapPort(), Encryption.TLS),
                s.smtp(),
                s.user(),
                "",
                "INBOX",
                s.sent(),
                s.archive(),
                s.drafts(),
                Optional.empty());
        assertThat(MailProbe.run(new MailAccount(ADDRESS, plainSpoken, "secret"))
                        .steps()
                        .get(1)
                        .passed())
                .isFalse();
    }

    @Test
    void aPasswordIsNotSentInTheClearToAnotherMachine() {
        MailSettings s = account().settings();
        MailSettings far = new MailSettings(
                new MailSettings.Server("192.0.2.1", 143, Encryption.NONE),
                s.smtp(),
                s.user(),
                "",
                "INBOX",
                s.sent(),
                s.archive(),
                s.drafts(),
                Optional.empty());
        assertThatThrownBy(() -> new MailConnection(new MailAccount(ADDRESS, far, "secret")).openImap())
                .hasMessageContaining("Without encryption the password could be read");
    }

    @Test
    void sendsAppendsAndMovesOnce() throws Exception {
        MailCourier courier = new MailCourier(account());
        boolean[] announced = new boolean[1];
        assertThat(courier.send(raw("out"), () -> announced[0] = true)).isInstanceOf(MailCourier.Sending.Taken.class);
        assertThat(announced[0]).isTrue();
        courier.append("Sent", "out@x", raw("out"));
        courier.append("Sent", "out@x", raw("out"));
        assertThat(server.messages(ADDRESS, "Sent")).hasSize(1);
        assertThat(courier.holds(List.of("Sent"), "out@x")).isTrue();
        assertThat(courier.holds(List.of("Sent", "Nowhere"), "other")).isFalse();

        courier.move(at("INBOX", "out@x"), "Archive");
        courier.move(at("INBOX", "out@x"), "Archive");
        assertThat(server.messages(ADDRESS, "INBOX")).isEmpty();
        assertThat(server.messages(ADDRESS, "Archive")).hasSize(1);
    }

    @Test
    void whatTheServerRefusesIsNotTriedAgain() {
        byte[] nobody = "From: <ines@merrowquay.example>\r\nSubject: x\r\n\r\nx".getBytes(StandardCharsets.UTF_8);
        assertThat(new MailCourier(account()).send(nobody, () -> true))
                .isNotInstanceOf(MailCourier.Sending.Taken.class);
    }

    @Test
    void aLargeMailGoesToAFileWhileItComes() throws Exception {
        String pieces = "A line of a large file that somebody sent.\r\n".repeat(60_000);
        put("INBOX", "small", Instant.now());
        byte[] large = (new String(raw("large"), StandardCharsets.UTF_8) + pieces).getBytes(StandardCharsets.UTF_8);
        server.put(ADDRESS, "INBOX", large, Instant.now());
        put("INBOX", "last", Instant.now());
        try (MailSync sync = sync()) {
            sync.start();
            awaitLive();
        }
        assertThat(journal.ids()).containsExactlyInAnyOrder("small", "large", "last");
        assertThat(journal.spooled).isEqualTo(1);
        assertThat(journal.sums).containsEntry("large", RawMail.of(large).sha256());
    }

    private MailSync sync() {
        return new MailSync(account(), SINCE, journal, journal);
    }

    private MailAccount account() {
        return accountAt(server.imapPort());
    }

    private MailAccount accountAt(int imapPort) {
        return new MailAccount(
                ADDRESS,
                new MailSettings(
                        new MailSettings.Server("127.0.0.1", imapPort, Encryption.NONE),
                        new MailSettings.Server("127.0.0.1", server.smtpPort(), Encryption.NONE),
                        ADDRESS,
                        "Ines",
                        "INBOX",
                        Optional.of("Sent"),
                        Optional.of("Archive"),
                        Optional.empty(),
                        Optional.empty()),
                "secret");
    }

    private void put(String folder, String id, Instant at) {
        server.put(ADDRESS, folder, raw(id), at);
    }

    private static byte[] raw(String id) {
        return ("Message-ID: <" + id + "@x>\r\nFrom: Tilda <tilda@x.example>\r\nTo: <" + ADDRESS + ">\r\nSubject: " + id
                        + "\r\n\r\nText\r\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    private void awaitLive() throws InterruptedException {
        String status;
        do {
            status = journal.statuses.poll(60, TimeUnit.SECONDS);
            assertThat(status).isNotNull();
        } while (!status.equals("live"));
    }

    /** Keeps in memory what the real one keeps in the store. */
    private static final class Journal implements MailJournal, SyncStatus {

        private final Map<String, String> idByPlace = new ConcurrentHashMap<>();
        private final BlockingQueue<String> arrived = new LinkedBlockingQueue<>();
        private final BlockingQueue<String> statuses = new LinkedBlockingQueue<>();
        private volatile String refuses = "";
        private volatile int saves;
        private volatile int spooled;
        private final Map<String, String> sums = new ConcurrentHashMap<>();

        Set<String> ids() {
            return Set.copyOf(idByPlace.values());
        }

        void forget(String id) {
            idByPlace.values().remove(id);
        }

        @Override
        public Set<Long> knownUids(String folder, long uidValidity) {
            String prefix = folder + " " + uidValidity + " ";
            return idByPlace.keySet().stream()
                    .filter(place -> place.startsWith(prefix))
                    .map(place -> Long.parseLong(place.substring(prefix.length())))
                    .collect(Collectors.toSet());
        }

        @Override
        public Optional<Long> completeAt(String folder, long uidValidity) {
            return Optional.empty();
        }

        @Override
        public void markComplete(String folder, long uidValidity, long highestModSeq) {}

        @Override
        public MailSpool spool() {
            return () -> {
                spooled++;
                return MailSpool.inMemory().begin();
            };
        }

        @Override
        public synchronized void save(String folder, long uidValidity, List<ArrivedMail> batch) {
            if (batch.stream().anyMatch(mail -> mail.mail().subject().equals(refuses))) {
                throw new IllegalStateException("Refused by the test");
            }
            saves++;
            for (ArrivedMail mail : batch) {
                String id = mail.mail().subject();
                idByPlace.put(folder + " " + uidValidity + " " + mail.uid(), id);
                sums.put(id, mail.raw().sha256());
                arrived.add(id);
            }
        }

        @Override
        public void reading(int done, int total) {
            statuses.add("reading");
        }

        @Override
        public void live() {
            statuses.add("live");
        }

        @Override
        public void trouble(String whatHappened) {
            statuses.add(whatHappened);
        }
    }

    private static MailAt at(String folder, String messageId) {
        return new MailAt(folder, 0, 0, Optional.of(messageId), Optional::empty);
    }

    @Test
    void ofTwoMailsWithOneIdentifierTheRightOneIsMovedBack() throws Exception {
        put("INBOX", "twin", "first", Instant.now());
        server.addFolder(ADDRESS, "Archive");
        put("Archive", "twin", "second", Instant.now());
        MailCourier courier = new MailCourier(account());
        MailCourier.Landed landed =
                courier.move(at("INBOX", "twin@x"), "Archive").orElseThrow();
        assertThat(landed.uid()).isPositive();
        MailAt archived =
                new MailAt("Archive", landed.uidValidity(), landed.uid(), Optional.of("twin@x"), Optional::empty);
        assertThat(courier.move(archived, "INBOX")).isPresent();
        assertThat(textsIn("INBOX")).containsExactly("first");
        assertThat(textsIn("Archive")).containsExactly("second");
    }

    @Test
    void whereNumbersAreGoneTheBytesProveWhichOneItIs() throws Exception {
        server.addFolder(ADDRESS, "Archive");
        put("Archive", "twin", "first", Instant.now());
        put("Archive", "twin", "second", Instant.now());
        MailCourier courier = new MailCourier(account());
        assertThat(courier.move(at("Archive", "twin@x"), "INBOX"))
                .as("nobody can say which one is meant")
                .isEmpty();
        byte[] second =
                server.messages(ADDRESS, "Archive").get(1).getInputStream().readAllBytes();
        assertThat(new String(second, StandardCharsets.UTF_8)).startsWith("second");
        MailAt known = new MailAt(
                "Archive", 7, 7, Optional.of("twin@x"), () -> Optional.of(RawMail.of(bytesOf("twin", "second"))));
        assertThat(courier.move(known, "INBOX")).isPresent();
        assertThat(textsIn("INBOX")).containsExactly("second");
    }

    private void put(String folder, String id, String text, Instant receivedAt) {
        server.put(ADDRESS, folder, bytesOf(id, text), receivedAt);
    }

    private static byte[] bytesOf(String id, String text) {
        return ("Message-ID: <" + id + "@x>\r\nFrom: a@x.example\r\nTo: b@x.example\r\nSubject: s\r\n\r\n" + text
                        + "\r\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    private List<String> textsIn(String folder) throws Exception {
        List<String> texts = new ArrayList<>();
        for (MimeMessage message : server.messages(ADDRESS, folder)) {
            texts.add(String.valueOf(message.getContent()).strip());
        }
        return texts;
    }
}
