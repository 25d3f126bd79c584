package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.thread.ReferencesThreading;
import org.squallnote.core.thread.SubjectStep;
import org.squallnote.core.thread.Threadable;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.arrival.Rebuild;
import org.squallnote.server.files.FileImport;
import org.squallnote.sources.mail.ArrivedMail;

class ArrivalsTest extends ServerTest {

    @Autowired
    private Rebuild rebuild;

    @Autowired
    private FileImport files;

    @Test
    void aWriterWhoseClockIsFastDoesNotSeemToWriteAfterMyAnswer() {
        SignedIn me = newAccount();
        ArrivedMail dated = mail(
                1,
                "q@x.example",
                "Tilda Brandt <tilda@brandt-cranes.example>",
                "Crane",
                "",
                "Could you send the list?",
                MONDAY.plus(Duration.ofMinutes(10)));
        arrive(me, new ArrivedMail(1, MONDAY, dated.raw(), dated.mail()));
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).hasSize(1);
        arrive(me, mine(2, "a@x.example", "q@x.example", "Here is the list.", MONDAY.plusSeconds(120)));
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).isEmpty();
    }

    @Test
    void messagesThatArriveInAnyOrderAreThreadedAsTheWholeMailboxWouldBe() {
        for (long seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            List<ArrivedMail> mail = new ArrayList<>();
            for (int i = 0; i < 25; i++) {
                StringBuilder references = new StringBuilder();
                random.ints(random.nextInt(3), 0, 35).forEach(n -> references.append(" <m" + n + "@x.example>"));
                String subject = (random.nextBoolean() ? "Re: " : "") + "Subject " + random.nextInt(4);
                mail.add(mail(
                        i + 1,
                        "m" + i + "@x.example",
                        subject,
                        references.toString().strip(),
                        "Text " + i));
            }
            Set<Set<String>> expected = threadedAtOnce(mail);
            Collections.shuffle(mail, random);
            SignedIn me = newAccount();
            for (int i = 0; i < mail.size(); i += 4) {
                arrive(me, mail.subList(i, Math.min(i + 4, mail.size())).toArray(ArrivedMail[]::new));
            }
            assertThat(stored(me)).as("seed %d", seed).isEqualTo(expected);
            List<String> before = decidedState(me);
            rebuild.run(me.accountId());
            assertThat(decidedState(me)).as("rebuilt, seed %d", seed).isEqualTo(before);
        }
    }

    private static Set<Set<String>> threadedAtOnce(List<ArrivedMail> mail) {
        List<Threadable<String>> all = mail.stream()
                .map(m -> new Threadable<>(
                        m.mail().messageId().orElseThrow(),
                        m.mail().messageId(),
                        m.mail().references(),
                        m.mail().subject(),
                        m.mail().sentAt().orElseThrow(),
                        Set.of(m.mail().from().address(), MINE)))
                .toList();
        Set<Set<String>> threads = new HashSet<>();
        ReferencesThreading.threads(all, SubjectStep.UNLINKED_REPLIES)
                .forEach(thread -> threads.add(new HashSet<>(thread.keys())));
        return threads;
    }

    private Set<Set<String>> stored(SignedIn me) {
        Map<UUID, Set<String>> threads = new HashMap<>();
        jdbc.query(
                "select thread_id, message_id from message where owner = ?",
                row -> {
                    threads.computeIfAbsent(row.getObject(1, UUID.class), id -> new HashSet<>())
                            .add(row.getString(2));
                },
                me.accountId());
        return new HashSet<>(threads.values());
    }

    @Test
    void theSameMessageAgainOrInAnotherFolderIsStoredOnce() {
        SignedIn me = newAccount();
        ArrivedMail mail = mail(1, "a@x.example", "Plan", "", "Text");
        assertThat(arrive(me, mail)).isEqualTo(new MailArrivals.Outcome(1, 0));
        assertThat(arrive(me, mail)).isEqualTo(new MailArrivals.Outcome(0, 1));
        locks.write(
                me.accountId(),
                () -> arrivals.takeIn(
                        new MailArrivals.Origin(me.accountId(), sourceOf(me), "Archive", 7, false, false),
                        List.of(mail)));
        assertThat(count(me, "message")).isEqualTo(1);
        assertThat(count(me, "message_place")).isEqualTo(2);
    }

    @Test
    void aMessageIdThatIsUsedTwiceLosesNoMessage() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "same@x.example", "First", "", "One"), mail(2, "same@x.example", "Second", "", "Two"));

        assertThat(count(me, "message")).isEqualTo(2);
    }

    @Test
    void myAnswerTakesTheMessageOutOfIntake() {
        SignedIn me = newAccount();
        arrive(me, mail(1, "q@x.example", "Question", "", "Could you?"));
        assertThat(get(me, "/api/intake").path("total").asInt()).isEqualTo(1);
        String raw = "Message-ID: <r@x.example>\r\nFrom: <" + MINE + ">\r\nTo: <tilda@brandt-cranes.example>\r\n"
                + "References: <q@x.example>\r\nSubject: Re: Question\r\nDate: Mon, 2 Mar 2026 12:00:00 +0000\r\n\r\nYes.\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        arrive(me, new ArrivedMail(2, MONDAY.plus(Duration.ofHours(3)), RawMail.of(bytes), MailParser.parse(bytes)));

        assertThat(get(me, "/api/intake").path("total").asInt()).isZero();
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines").size()).isZero();
        // An answer that asks nothing leaves nobody to wait for.
        assertThat(get(me, "/api/threads?turn=NOBODY").path("lines").size()).isEqualTo(1);
    }

    @Test
    void anMboxIsTakenInOnce() throws IOException {
        SignedIn me = newAccount();
        StringBuilder mbox = new StringBuilder();
        for (int i = 0; i < 900; i++) {
            mbox.append("From x@x.example Mon Mar  2 10:00:00 2026\n")
                    .append(new String(
                                    mail(i, "f" + i + "@x.example", "File " + i, "", "Text")
                                            .raw()
                                            .inMemory()
                                            .orElseThrow(),
                                    StandardCharsets.UTF_8)
                            .replace("\r\n", "\n"))
                    .append('\n');
        }
        byte[] bytes = mbox.toString().getBytes(StandardCharsets.UTF_8);

        assertThat(files.run(me.accountId(), new ByteArrayInputStream(bytes)))
                .isEqualTo(new FileImport.Result(FileImport.Kind.MESSAGES, 900, 900, 0, 0));
        assertThat(files.run(me.accountId(), new ByteArrayInputStream(bytes)))
                .isEqualTo(new FileImport.Result(FileImport.Kind.MESSAGES, 900, 0, 900, 0));
    }

    private Integer count(SignedIn me, String table) {
        return jdbc.queryForObject("select count(*) from " + table + " where owner = ?", Integer.class, me.accountId());
    }
}
