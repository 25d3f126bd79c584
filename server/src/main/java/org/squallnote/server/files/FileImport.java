package org.squallnote.server.files;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.formats.mail.MailLimits;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.MboxMessage;
import org.squallnote.formats.mail.MboxReader;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.formats.mail.RawMailWriter;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.source.SourceStore;

/** Takes in messages from {@code .eml} and mbox files of any size, and calendars. The same file again adds nothing. */
@Component
public class FileImport {

    private static final long BYTES_OF_A_BATCH = 8L * 1024 * 1024;
    /** A file with no more messages than this is meant to be decided, however old they are. */
    private static final int FEW = 20;

    private final SourceStore sources;
    private final MailSpool spool;
    private final MailArrivals arrivals;
    private final CalendarFile calendars;
    private final OwnerLocks locks;
    private final UuidV7 ids;
    private final Clock clock;
    /** So many messages are stored by one transaction, for which everything else that is written waits. */
    private final int batchSize;

    FileImport(
            SourceStore sources,
            MailSpool spool,
            MailArrivals arrivals,
            CalendarFile calendars,
            OwnerLocks locks,
            UuidV7 ids,
            Clock clock,
            @Value("${import-batch}") int batchSize) {
        this.batchSize = batchSize;
        this.sources = sources;
        this.spool = spool;
        this.arrivals = arrivals;
        this.calendars = calendars;
        this.locks = locks;
        this.ids = ids;
        this.clock = clock;
    }

    /** What a file was made of. */
    public enum Kind {
        MESSAGES,
        EVENTS
    }

    /**
     * What came of a file.
     *
     * @param unreadable what could not be read, and was left out
     */
    public record Result(Kind kind, int found, int added, int known, int unreadable) {}

    /** Takes in a file; what was taken in before a failure stays. */
    public Result run(UUID owner, InputStream file) throws IOException {
        return run(owner, file, false);
    }

    /**
     * The same with one that is a part of a folder, in which few messages do not mean that all are to be decided.
     *
     * @param ofFolder whether it is
     */
    public Result run(UUID owner, InputStream file, boolean ofFolder) throws IOException {
        BufferedInputStream in = new BufferedInputStream(file, 1 << 16);
        in.mark(CalendarReader.START_BYTES + 1);
        byte[] start = in.readNBytes(CalendarReader.START_BYTES);
        in.reset();
        UUID sourceId = fileSource(owner);
        if (CalendarReader.isCalendar(start)) {
            return calendars.take(owner, sourceId, in);
        }
        Intaker intaker = new Intaker(owner, sourceId, ofFolder);
        if (MboxReader.isMbox(start)) {
            readMbox(in, intaker);
        } else {
            ArrivedMail mail = arrived(readOne(in));
            if (mail.mail().from().address().isEmpty() && mail.mail().sentAt().isEmpty()) {
                throw Refusal.invalid(
                        "This is no mail message (.eml), mbox file or calendar (.ics). Nothing was changed.");
            }
            intaker.store(intaker.read(List.of(mail)));
        }
        return intaker.result();
    }

    private MboxMessage readOne(InputStream in) throws IOException {
        try (RawMailWriter writer = new RawMailWriter(spool)) {
            byte[] some = new byte[1 << 16];
            for (int length = in.read(some); length >= 0 && !writer.cut(); length = in.read(some)) {
                writer.add(some, 0, length);
            }
            boolean cut = writer.cut();
            return new MboxMessage(writer.take(), cut, Optional.empty());
        }
    }

    /**
     * Parses and reads in one thread while the other one stores. A batch has an end in messages and in bytes, and only
     * one more is read while one is stored, so that the memory it takes does not grow with the file.
     */
    private void readMbox(InputStream in, Intaker intaker) throws IOException {
        BlockingQueue<MailArrivals.ReadBatch> parsed = new SynchronousQueue<>();
        CompletableFuture<Void> storing = CompletableFuture.runAsync(() -> store(parsed, intaker));
        List<ArrivedMail> batch = new ArrayList<>(batchSize);
        try {
            List<ArrivedMail> collecting = batch;
            long[] bytes = {0};
            MboxReader.forEach(in, spool, message -> {
                boolean full = bytes[0] + inMemory(message) > BYTES_OF_A_BATCH || collecting.size() >= batchSize;
                if (full && !collecting.isEmpty()) {
                    hand(parsed, intaker.read(collecting), storing);
                    collecting.clear();
                    bytes[0] = 0;
                }
                collecting.add(arrived(message));
                bytes[0] += inMemory(message);
            });
        } finally {
            if (!batch.isEmpty()) {
                hand(parsed, intaker.read(batch), storing);
            }
            hand(parsed, intaker.read(List.of()), storing);
        }
        storing.join();
    }

    private static long inMemory(MboxMessage message) {
        return message.raw().inMemory().map(bytes -> (long) bytes.length).orElse(0L);
    }

    private static void hand(
            BlockingQueue<MailArrivals.ReadBatch> parsed,
            MailArrivals.ReadBatch batch,
            CompletableFuture<Void> storing) {
        try {
            while (!parsed.offer(batch, 200, TimeUnit.MILLISECONDS)) {
                if (storing.isCompletedExceptionally()) {
                    storing.join();
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new UncheckedIOException(new IOException("Interrupted while importing", e));
        }
    }

    private static void store(BlockingQueue<MailArrivals.ReadBatch> parsed, Intaker intaker) {
        try {
            for (MailArrivals.ReadBatch batch = parsed.take(); !batch.mail().isEmpty(); batch = parsed.take()) {
                intaker.store(batch);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** A mail that says no date of its own came when the file says, or now. */
    private ArrivedMail arrived(MboxMessage message) {
        ParsedMail parsed = MailParser.parse(message.raw());
        ParsedMail mail = message.cut() ? parsed.noting(MailLimits.CUT_NOTICE) : parsed;
        Instant now = clock.instant();
        Instant receivedAt = mail.sentAt()
                .filter(at -> at.isBefore(now))
                .or(() -> message.deliveredAt().filter(at -> at.isBefore(now)))
                .orElse(now);
        return new ArrivedMail(0, receivedAt, message.raw(), mail);
    }

    private final class Intaker {

        private final UUID owner;
        private final UUID sourceId;
        private int added;
        private int known;
        private boolean begun;

        Intaker(UUID owner, UUID sourceId, boolean begun) {
            this.owner = owner;
            this.begun = begun;
            this.sourceId = sourceId;
        }

        /** Reads a batch; of a file with few messages everything is to be decided. */
        MailArrivals.ReadBatch read(List<ArrivedMail> batch) {
            boolean everythingToIntake = !begun && batch.size() <= FEW;
            begun = true;
            return arrivals.read(
                    new MailArrivals.Origin(owner, sourceId, "", 0, false, everythingToIntake), List.copyOf(batch));
        }

        void store(MailArrivals.ReadBatch batch) {
            MailArrivals.Outcome outcome = locks.write(owner, () -> arrivals.takeIn(batch));
            added += outcome.stored();
            known += outcome.known();
        }

        Result result() {
            return new Result(Kind.MESSAGES, added + known, added, known, 0);
        }
    }

    /** The source that stands for files, made with the first one. */
    private UUID fileSource(UUID owner) {
        return locks.write(
                owner,
                () -> sources.of(owner).stream()
                        .filter(source -> source.kind() == SourceKind.FILES)
                        .findFirst()
                        .map(Source::id)
                        .orElseGet(() -> {
                            Source files = SourceBuilder.builder()
                                    .id(ids.next())
                                    .owner(owner)
                                    .kind(SourceKind.FILES)
                                    .name("Files")
                                    .address("")
                                    .settings("{}")
                                    .secret(new byte[0])
                                    .daysBack(1)
                                    .archiveRule(ArchiveRule.NEVER)
                                    .addedAt(clock.instant())
                                    .status(SourceStatus.IDLE)
                                    .statusText("Messages from files.")
                                    .build();
                            sources.insert(files);
                            return files.id();
                        }));
    }
}
