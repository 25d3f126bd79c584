package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class ReferencesThreadingTest {

    private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");

    private final List<Threadable<String>> mailbox = new ArrayList<>();

    @Test
    void anAnswerStandsBelowWhatItAnswers() {
        mail("a", "Berth plan");
        mail("b", "Re: Berth plan", "a");
        mail("c", "Re: Berth plan", "a", "b");
        mail("x", "Crane hire");

        assertThat(threads()).containsExactly("(a (b (c)))", "(x)");
    }

    @Test
    void aMissingMessageHoldsItsAnswersTogether() {
        mail("b", "Re: Berth plan", "a");
        mail("c", "Re: Berth plan", "a");

        assertThat(threads()).containsExactly("(- (b) (c))");
    }

    @Test
    void aMissingMessageWithOneAnswerIsLeftOut() {
        mail("c", "Re: Berth plan", "a", "b");

        assertThat(threads()).containsExactly("(c)");
    }

    @Test
    void theOwnReferencesOfAMessageWinOverThoseOfALaterOne() {
        mail("later", "Re: plan", "a", "b");
        mail("a", "plan");
        mail("b", "Re: plan", "other");
        mail("other", "other plan");

        assertThat(threads()).containsExactly("(a)", "(other (b (later)))");
    }

    @Test
    void aTruncatedMessageWithoutReferencesLeavesItsFormerParent() {
        mail("c", "Re: plan", "a", "b");
        mail("b", "Re: plan");
        mail("a", "first draft");

        assertThat(rfcThreads()).containsExactly("(b (c))", "(a)");
    }

    @Test
    void loopsAreNotLinked() {
        mail("a", "loop", "b");
        mail("b", "loop", "a");
        mail("c", "loop", "c");

        assertThat(String.join("", threads())).contains("a", "b", "c");
    }

    @Test
    void aDoubledMessageIdIsUniqueToItsFirstMessage() {
        mail("a", "plan");
        mailWithId("copy", "a", "plan");
        mail("b", "Re: plan", "a");

        assertThat(threads()).containsExactly("(a (b))", "(copy)");
    }

    @Test
    void theSubjectStepOfTheRfcJoinsWhatHasTheSameBaseSubject() {
        mail("a", "Regatta");
        mail("b", "Re: Regatta");
        mail("c", "[harbour] Fwd: Regatta");
        mail("d", "Regatta");

        // "b" and "c" are replies to a message that is none; "d" is another original, so both get a common dummy.
        assertThat(rfcThreads()).containsExactly("(- (a (b) (c)) (d))");
    }

    @Test
    void anUnlinkedReplyJoinsTheLatestEarlierMessageOfTheSameParties() {
        mail("a", "Invoice");
        mail("b", "Re: Invoice");

        assertThat(threads()).containsExactly("(a (b))");
    }

    @Test
    void monthlyInvoicesStayApart() {
        mail("a", "Invoice");
        mail("b", "Invoice");

        assertThat(threads()).containsExactly("(a)", "(b)");
    }

    @Test
    void anUnlinkedReplyAfterFortyDaysOrFromStrangersStaysAlone() {
        mail("a", "Invoice");
        mailbox.add(new Threadable<>(
                "late",
                Optional.of("late"),
                List.of(),
                "Re: Invoice",
                START.plus(Duration.ofDays(40)),
                Set.of("ines", "tilda")));
        mailbox.add(new Threadable<>(
                "strange",
                Optional.of("strange"),
                List.of(),
                "Re: Invoice",
                START.plusSeconds(900),
                Set.of("ines", "bo")));

        assertThat(threads()).containsExactly("(a)", "(strange)", "(late)");
    }

    @Test
    void aVeryDeepConversationIsThreaded() {
        mail("m0", "deep");
        for (int i = 1; i < 5_000; i++) {
            mail("m" + i, "Re: deep", "m" + (i - 1));
        }

        List<ThreadNode<String>> threads = ReferencesThreading.threads(mailbox, SubjectStep.UNLINKED_REPLIES);

        assertThat(threads).hasSize(1);
        assertThat(threads.get(0).keys()).hasSize(5_000).startsWith("m0", "m1").endsWith("m4999");
    }

    @Test
    void noMessageIsLostOrDoubledWhateverTheReferences() {
        for (long seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            mailbox.clear();
            int count = 1 + random.nextInt(30);
            for (int i = 0; i < count; i++) {
                String[] references = random.ints(random.nextInt(4), 0, 40)
                        .mapToObj(n -> "m" + n)
                        .toArray(String[]::new);
                mail("m" + i, random.nextBoolean() ? "Re: s" + random.nextInt(3) : "s" + random.nextInt(3), references);
            }
            Collections.shuffle(mailbox, random);
            for (SubjectStep step : SubjectStep.values()) {
                List<String> keys = new ArrayList<>();
                ReferencesThreading.threads(mailbox, step).forEach(thread -> keys.addAll(thread.keys()));
                assertThat(keys).as("seed %d, %s", seed, step).hasSize(count);
                assertThat(new TreeSet<>(keys)).as("seed %d, %s", seed, step).hasSize(count);
            }
        }
    }

    private void mail(String id, String subject, String... references) {
        mailWithId(id, id, subject, references);
    }

    private void mailWithId(String key, String id, String subject, String... references) {
        Instant sentAt = START.plusSeconds(60L * mailbox.size());
        mailbox.add(
                new Threadable<>(key, Optional.of(id), List.of(references), subject, sentAt, Set.of("ines", "tilda")));
    }

    private List<String> threads() {
        return drawn(SubjectStep.UNLINKED_REPLIES);
    }

    private List<String> rfcThreads() {
        return drawn(SubjectStep.AS_RFC_5256);
    }

    private List<String> drawn(SubjectStep step) {
        return ReferencesThreading.threads(mailbox, step).stream()
                .map(this::draw)
                .toList();
    }

    private String draw(ThreadNode<String> node) {
        StringBuilder drawn = new StringBuilder("(").append(node.key().orElse("-"));
        node.children().forEach(child -> drawn.append(' ').append(draw(child)));
        return drawn.append(')').toString();
    }
}
