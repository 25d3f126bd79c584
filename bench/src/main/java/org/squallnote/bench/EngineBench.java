package org.squallnote.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.BreakIterator;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.thread.ReferencesThreading;
import org.squallnote.core.thread.SubjectStep;
import org.squallnote.core.thread.ThreadNode;
import org.squallnote.core.thread.Threadable;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.formats.lines.JsonLines;

/** The engine alone, on one core: how fast it reads, and how threading and turn grow with the mailbox. */
final class EngineBench {

    private static final int MANY = 200_000;
    private static final int FEW = 20_000;
    private static final int ROUNDS = 9;
    private static final int WARM_UP = 6;

    /** The compiler needs that long for all the rules; an application that has read a mailbox is there. */
    private static final int READING_WARM_UP = 120;

    private static final Instant START = Instant.parse("2026-01-05T08:00:00Z");

    private EngineBench() {}

    static void run(Path messages) throws IOException {
        List<JsonLines.Line> lines = new ArrayList<>();
        for (String line : Files.readAllLines(messages)) {
            lines.add(JsonLines.parse(line));
        }
        reading(lines);
        growth(lines);
    }

    private static void reading(List<JsonLines.Line> lines) {
        List<Double> engine = new ArrayList<>();
        List<Double> ratios = new ArrayList<>();
        long found = 0;
        for (int round = 0; round < READING_WARM_UP + ROUNDS; round++) {
            long start = System.nanoTime();
            for (int i = 0; i < 5; i++) {
                for (JsonLines.Line line : lines) {
                    found += line.reader()
                            .read(line.messages().get(0).message())
                            .asks()
                            .size();
                }
            }
            long middle = System.nanoTime();
            for (int i = 0; i < 5; i++) {
                for (JsonLines.Line line : lines) {
                    found += sentencesIn(line.messages().get(0).message());
                }
            }
            if (round >= READING_WARM_UP) {
                engine.add((middle - start) / 1e9);
                ratios.add((middle - start) / (double) (System.nanoTime() - middle));
            }
        }
        if (found == 0) {
            throw new IllegalStateException("Nothing was found");
        }
        say(
                "Reading %d messages: %.0f a second on one core, %.1f times as long as cutting them into sentences with"
                        + " BreakIterator (goal: at most 8)",
                lines.size(), 5 * lines.size() / Bench.median(engine), Bench.median(ratios));
    }

    /** Merely cuts a text into sentences with what the JDK has for it. */
    private static int sentencesIn(MessageToRead message) {
        String text = message.subject() + "\n" + message.text();
        BreakIterator breaks = BreakIterator.getSentenceInstance(Locale.UK);
        breaks.setText(text);
        int count = 0;
        int from = breaks.first();
        for (int to = breaks.next(); to != BreakIterator.DONE; to = breaks.next()) {
            count += text.substring(from, to).isBlank() ? 0 : 1;
            from = to;
        }
        return count;
    }

    private record Generated(TurnEvent event, Threadable<TurnEvent> threadable) {}

    private static void growth(List<JsonLines.Line> lines) {
        List<Facts> incoming = new ArrayList<>();
        List<Facts> outgoing = new ArrayList<>();
        for (JsonLines.Line line : lines) {
            JsonLines.Entry entry = line.messages().get(0);
            incoming.add(Facts.of(line.reader().read(entry.message()), Direction.INCOMING));
            outgoing.add(Facts.of(line.reader().read(entry.message()), Direction.OUTGOING));
        }
        List<Generated> many = generate(MANY, incoming, outgoing);
        List<Generated> few = generate(FEW, incoming, outgoing);
        List<Double> ratios = new ArrayList<>();
        for (int round = 0; round < WARM_UP + ROUNDS; round++) {
            System.gc(); // Collecting garbage would fall into one of the two by chance.
            double fewTime = 0;
            for (int i = 0; i < MANY / FEW; i++) {
                fewTime += threadAndFold(few);
            }
            System.gc();
            double manyTime = threadAndFold(many);
            if (round >= WARM_UP) {
                ratios.add(manyTime / fewTime);
            }
        }
        say(
                "Threading and turn, each of %d messages against each of %d: %.2f times (goal: at most 1.2)",
                MANY, FEW, Bench.median(ratios));
        long before = used();
        List<TurnFold> folds = folds(many);
        long after = used();
        say(
                "Their %d threads with the state after each message hold %.0f MB, %d bytes a message",
                folds.size(), (after - before) / 1e6, (after - before) / MANY);
    }

    private static double threadAndFold(List<Generated> messages) {
        long start = System.nanoTime();
        if (folds(messages).isEmpty()) {
            throw new IllegalStateException("No threads");
        }
        return (System.nanoTime() - start) / 1e9;
    }

    private static List<TurnFold> folds(List<Generated> messages) {
        List<TurnFold> folds = new ArrayList<>();
        List<Threadable<TurnEvent>> threadables =
                messages.stream().map(Generated::threadable).toList();
        for (ThreadNode<TurnEvent> thread : ReferencesThreading.threads(threadables, SubjectStep.UNLINKED_REPLIES)) {
            folds.add(TurnFold.over(thread.keys()));
        }
        return folds;
    }

    /** Threads of one to twelve messages, between me and a few hundred others, some of them with a missing message. */
    private static List<Generated> generate(int size, List<Facts> incoming, List<Facts> outgoing) {
        Random random = new Random(size);
        List<Generated> all = new ArrayList<>(size);
        Party me = new Party("Ines", "ines@merrowquay.example");
        int thread = 0;
        while (all.size() < size) {
            thread++;
            int length = 1 + random.nextInt(12);
            Party other = new Party("", "p" + random.nextInt(400) + "@office" + random.nextInt(60) + ".example");
            List<String> references = new ArrayList<>();
            for (int i = 0; i < length && all.size() < size; i++) {
                boolean mine = i % 2 == 1;
                String id = thread + "." + i + "@x.example";
                Instant sentAt = START.plusSeconds(all.size() * 50L + i * 4_000L);
                List<Facts> facts = mine ? outgoing : incoming;
                TurnEvent event = new TurnEvent(
                        new UUID(size, all.size()),
                        sentAt,
                        Channel.MAIL,
                        mine ? Direction.OUTGOING : Direction.INCOMING,
                        mine ? me : other,
                        List.of(mine ? other : me),
                        List.of(),
                        Optional.empty(),
                        false,
                        Optional.empty(),
                        false,
                        false,
                        facts.get(random.nextInt(facts.size())));
                Threadable<TurnEvent> threadable = new Threadable<>(
                        event,
                        Optional.of(id),
                        List.copyOf(references),
                        (i == 0 ? "" : "Re: ") + "Subject " + thread,
                        sentAt,
                        Set.of(me.address(), other.address()));
                all.add(new Generated(event, threadable));
                references.add(random.nextInt(9) == 0 ? "lost." + id : id);
            }
        }
        // In the order in which they arrive: as sent, but for some that were held up on the way.
        all.sort(Comparator.comparing(generated -> generated.event().sentAt()));
        for (int i = 0; i < size / 20; i++) {
            int at = random.nextInt(size - 100);
            Collections.swap(all, at, at + random.nextInt(100));
        }
        return all;
    }

    private static long used() {
        for (int i = 0; i < 3; i++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
