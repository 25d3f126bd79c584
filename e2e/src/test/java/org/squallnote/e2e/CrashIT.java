package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.MessagingException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Kills the application in the middle of its work and compares: nothing lost, nothing doubled, no mail sent twice. */
class CrashIT {

    private static final int MESSAGES = 1_000;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    static Path data;

    @Test
    void aKillDuringTheFirstSyncAndDuringSendingLosesAndDoublesNothing() throws Exception {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (Quay quay = Quay.open(clock)) {
            fill(quay.mail(), clock.instant());
            Application application = new Application(data, clock, "--squallnote.outbox.hold=0s").start();
            try {
                AppSetUp setUp = new AppSetUp(application.address());
                assertThat(setUp.awaitApplication()).isTrue();
                setUp.makeAccount(Days.ZONE.getId());
                setUp.connect(
                        quay.mail().imapPort(),
                        quay.mail().smtpPort(),
                        quay.chat().address());
                for (int atLeast : new int[] {150, 500}) {
                    AppSetUp running = setUp;
                    untilStored(running, atLeast);
                    System.out.printf("Killed with %d of %d messages stored%n", stored(running), expected(quay.mail()));
                    setUp = restart(application);
                }
                AppSetUp synced = setUp;
                untilStored(synced, expected(quay.mail()));
                assertThat(setUp.awaitSources()).isTrue();
                assertThat(stored(setUp)).isEqualTo(expected(quay.mail()));

                sendAndKill(quay, application, setUp);
            } finally {
                application.kill();
            }
        }
    }

    private void sendAndKill(Quay quay, Application application, AppSetUp before) throws InterruptedException {
        Map<String, String> answers = new HashMap<>();
        AppSetUp setUp = before;
        for (int round = 0; round < 3; round++) {
            List<JsonNode> asked = new ArrayList<>();
            setUp.call("GET", "/api/intake", null).path("lines").forEach(asked::add);
            for (JsonNode line : asked) {
                if (line.path("from").asString("").equals("Bulk Writer") && answers.size() < 15 * (round + 1)) {
                    String command = setUp.call(
                                    "POST",
                                    "/api/messages/" + line.path("id").asString("") + "/answer",
                                    JSON.createObjectNode()
                                            .put("text", "An answer")
                                            .put("toAll", false))
                            .path("commandId")
                            .asString("");
                    answers.put(command + "@merrowquay.example", line.path("id").asString(""));
                }
            }
            setUp = restart(application);
        }
        AppSetUp last = setUp;
        until(() -> unsettled(last, "WAITING", "UNDER_WAY").isEmpty(), "an empty outbox");
        Map<String, Integer> received = new HashMap<>();
        for (String id : ids(quay.mail(), "bulk.writer@elsewhere.example", "INBOX")) {
            received.merge(id, 1, Integer::sum);
        }
        Set<String> inDoubt = unsettled(last, "UNCERTAIN");
        System.out.printf(
                "%d answers: %d received, %d left for the user to settle%n",
                answers.size(), received.size(), inDoubt.size());
        assertThat(received.values()).as("no mail is sent twice").allMatch(count -> count == 1);
        answers.forEach((mailId, messageId) -> assertThat(received.containsKey(mailId) || inDoubt.contains(messageId))
                .as("answer %s is either sent or shown as in doubt", mailId)
                .isTrue());
        assertThat(answers.keySet()).containsAll(received.keySet());
        assertThat(received).as("most are sent without a question").hasSizeGreaterThan(answers.size() / 2);
    }

    private static Set<String> unsettled(AppSetUp app, String... states) {
        Set<String> found = new HashSet<>();
        for (JsonNode line : app.call("GET", "/api/outbox", null)) {
            if (List.of(states).contains(line.path("state").asString(""))
                    && line.path("kind").asString("").equals("SEND_MAIL")) {
                found.add(line.path("messageId").asString(""));
            }
        }
        return found;
    }

    private static AppSetUp restart(Application application) {
        application.kill();
        application.start();
        AppSetUp setUp = new AppSetUp(application.address());
        setUp.signIn();
        return setUp;
    }

    private static int stored(AppSetUp app) {
        for (JsonNode source : app.call("GET", "/api/sources", null)) {
            if (source.path("address").asString("").equals(MerrowQuay.OWN)) {
                return source.path("messageCount").asInt(0);
            }
        }
        return 0;
    }

    private static int expected(MailStandIn mail) {
        return mail.messages(MerrowQuay.OWN, "INBOX").size()
                + mail.messages(MerrowQuay.OWN, "Sent").size();
    }

    private static List<String> ids(MailStandIn mail, String address, String folder) {
        return mail.messages(address, folder).stream()
                .map(message -> {
                    try {
                        return message.getMessageID().replaceAll("[<>]", "");
                    } catch (MessagingException e) {
                        throw new IllegalStateException(e);
                    }
                })
                .toList();
    }

    private static void fill(MailStandIn mail, Instant now) throws IOException {
        mail.addMailbox("bulk.writer@elsewhere.example", "invented");
        for (int i = 0; i < MESSAGES; i++) {
            String raw = "Message-ID: <bulk-" + i + "@elsewhere.example>\r\n"
                    + "From: Bulk Writer <bulk.writer@elsewhere.example>\r\nTo: <" + MerrowQuay.OWN + ">\r\n"
                    + "Subject: Question " + i + "\r\n\r\nCould you answer question " + i + "?\r\n";
            mail.put(MerrowQuay.OWN, "INBOX", raw.getBytes(StandardCharsets.UTF_8), now.minus(Duration.ofMinutes(i)));
        }
    }

    /** Gives up only when nothing more is stored for a while: how fast a busy machine is says nothing. */
    private static void untilStored(AppSetUp app, int atLeast) throws InterruptedException {
        int last = stored(app);
        while (last < atLeast) {
            int before = last;
            until(() -> stored(app) > before, "more than %d messages to be stored, of %d".formatted(before, atLeast));
            last = stored(app);
        }
    }

    private static void until(BooleanSupplier condition, String what) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(180).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited for %s", what).isLessThan(end);
            Thread.sleep(20);
        }
    }
}
