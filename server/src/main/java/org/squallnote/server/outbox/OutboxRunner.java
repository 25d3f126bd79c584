package org.squallnote.server.outbox;

import jakarta.mail.MessagingException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.core.source.Source;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.calendar.CalendarProblem;
import org.squallnote.sources.chat.ChatProblem;
import org.squallnote.sources.chat.ChatSync;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.sources.mail.MailAt;
import org.squallnote.sources.mail.MailCourier;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * Works off the outbox of one source, in a thread of its own and never inside a database transaction.
 *
 * <p>A mail is marked as under way before its first byte leaves and as done after the server has taken it. When the
 * application ends in between, nobody can know whether it was sent; it is then looked for among the sent mail, and if
 * it is not there the user decides. It is never sent a second time by itself. Everything else can be repeated safely.
 */
public final class OutboxRunner implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(OutboxRunner.class);
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);

    /** In milliseconds. */
    private static final long SHORTEST_WAIT = 20;

    private static final long HELD_BACK = 250;
    private static final int MOST_ATTEMPTS = 40;

    /** What a runner works with. */
    public record Tools(
            OutboxStore store,
            Outbox outbox,
            OwnerLocks locks,
            MailArrivals arrivals,
            MessageStore messages,
            RawMails rawMails,
            SourceSecrets secrets,
            LiveEvents live,
            Clock clock,
            JsonMapper json,
            Claims claims,
            DraftMails drafts,
            CalendarWork calendars,
            ApplicationEventPublisher events) {}

    private final Source source;
    private final Tools tools;
    private final Optional<ChatSync.SignIn> chat;
    private final Optional<UpToDate> upToDate;
    private boolean heldBack;
    private final Semaphore news = new Semaphore(0);
    private volatile boolean stopped;

    /**
     * A runner for a source.
     *
     * @param chat how to get a signed-in client, for a chat account
     * @param upToDate whether what came in is read; absent where nothing depends on that
     */
    public OutboxRunner(Source source, Tools tools, Optional<ChatSync.SignIn> chat, Optional<UpToDate> upToDate) {
        this.source = source;
        this.tools = tools;
        this.chat = chat;
        this.upToDate = upToDate;
    }

    /** Starts in the background. */
    public void start() {
        Thread thread = new Thread(this::run, "outbox " + source.name());
        thread.setDaemon(true);
        thread.start();
    }

    /** Something may be due. */
    public void wake() {
        news.release();
    }

    @Override
    public void close() {
        stopped = true;
        news.release();
    }

    private void run() {
        boolean recovered = false;
        while (!stopped) {
            try {
                if (!recovered) {
                    recover();
                    recovered = true;
                }
                heldBack = false;
                for (OutboxEntry entry : tools.store()
                        .due(source.owner(), source.id(), tools.clock().instant())) {
                    if (!stopped && !waitsForNews(entry)) {
                        workAlone(entry);
                    }
                }
            } catch (RuntimeException e) {
                LOG.warn("The outbox of {} failed", source.name(), e);
                recovered = false;
            }
            sleep();
        }
    }

    /** A reminder goes out only when it is known who has answered: after a start, everything that came is read first. */
    private boolean waitsForNews(OutboxEntry entry) {
        boolean waits = entry.kind() == OutboxKind.SEND_MAIL
                && ChaseLetter.isReminder(entry.identity())
                && upToDate.filter(one -> !one.isNow()).isPresent();
        heldBack |= waits;
        return waits;
    }

    private void workAlone(OutboxEntry entry) {
        if (!tools.claims().take(entry.id())) {
            return;
        }
        try {
            work(entry);
        } catch (RuntimeException e) {
            LOG.warn("Outbox entry {} failed", entry.id(), e);
            if (entry.kind() == OutboxKind.SEND_MAIL && isUnderWay(entry)) {
                settle(entry);
            } else {
                retry(entry, "Something went wrong inside Squallnote; its log says what. It is tried again.");
            }
        } finally {
            tools.claims().release(entry.id());
        }
    }

    private void sleep() {
        Instant now = tools.clock().instant();
        Duration wait = tools.store()
                .nextDue(source.owner(), source.id())
                .map(due -> Duration.between(now, due).plusMillis(1))
                .filter(until -> until.compareTo(LONGEST_WAIT) < 0)
                .orElse(LONGEST_WAIT);
        try {
            if (news.tryAcquire(
                    Math.max(wait.toMillis(), heldBack ? HELD_BACK : SHORTEST_WAIT), TimeUnit.MILLISECONDS)) {
                news.drainPermits();
            }
        } catch (InterruptedException e) {
            stopped = true;
            Thread.currentThread().interrupt();
        }
    }

    /** Settles what was under way when the application last ended; leaves alone what another worker has in its hands. */
    private void recover() {
        for (OutboxEntry seen : tools.store().underWay(source.owner(), source.id())) {
            if (!tools.claims().take(seen.id())) {
                continue;
            }
            try {
                // Looked at again, because its worker may have finished between the list and the claim.
                tools.store()
                        .byId(source.owner(), seen.id())
                        .filter(entry -> entry.state() == OutboxState.UNDER_WAY)
                        .ifPresent(this::settle);
            } finally {
                tools.claims().release(seen.id());
            }
        }
    }

    private void settle(OutboxEntry entry) {
        if (entry.kind() != OutboxKind.SEND_MAIL) {
            move(entry, OutboxState.UNDER_WAY, OutboxState.WAITING, "");
        } else if (foundAmongSent(entry)) {
            finishSending(entry, raw(entry));
        } else {
            move(
                    entry,
                    OutboxState.UNDER_WAY,
                    OutboxState.UNCERTAIN,
                    "Squallnote was interrupted while this answer was handed to the server. It may or may not have gone out.");
        }
    }

    private boolean isUnderWay(OutboxEntry entry) {
        return tools.store()
                .byId(source.owner(), entry.id())
                .filter(now -> now.state() == OutboxState.UNDER_WAY)
                .isPresent();
    }

    private boolean foundAmongSent(OutboxEntry entry) {
        MailSettings settings = tools.secrets().mailSettings(source);
        List<String> folders = new ArrayList<>(settings.sent().stream().toList());
        folders.add(settings.inbox());
        try {
            return courier().holds(folders, entry.identity());
        } catch (MessagingException e) {
            LOG.info("Whether {} was sent could not be looked up", entry.id(), e);
            return false;
        }
    }

    private MailCourier courier() {
        return new MailCourier(tools.secrets().mailAccount(source));
    }

    private void work(OutboxEntry entry) {
        switch (entry.kind()) {
            case SEND_MAIL -> sendMail(entry);
            case SEND_CHAT, SEND_CHAT_FILE, REACT, READ_UP_TO, JOIN_ROOM, LEAVE_ROOM -> inChat(entry);
            case UNREACT -> afterwards(entry, OutboxKind.REACT, () -> inChat(entry));
            case APPEND_SENT ->
                repeatable(
                        entry,
                        () -> tools.secrets().mailSettings(source).sent().ifPresent(folder -> append(folder, entry)));
            case ARCHIVE -> repeatable(entry, () -> archive(entry));
            case UNARCHIVE -> afterwards(entry, OutboxKind.ARCHIVE, () -> bringBack(entry));
            case MARK_READ -> repeatable(entry, () -> mark(entry, true));
            case MARK_UNREAD ->
                afterwards(entry, OutboxKind.MARK_READ, () -> repeatable(entry, () -> mark(entry, false)));
            case KEEP_DRAFT -> repeatable(entry, () -> keepDraft(entry));
            case FORGET_DRAFT -> repeatable(entry, () -> forgetDraft(entry));
            case WRITE_EVENT ->
                inCalendar(
                        entry,
                        () -> tools.calendars()
                                .write(source, tools.json().readValue(entry.payload(), Payloads.Event.class)));
            case WRITE_TASK ->
                inCalendar(
                        entry,
                        () -> tools.calendars()
                                .write(source, tools.json().readValue(entry.payload(), Payloads.Task.class)));
        }
    }

    /**
     * Takes back what was done by another entry: cancels that when it still waits for another try, leaves it alone while
     * it is under way, and reverses it once it is done.
     */
    private void afterwards(OutboxEntry entry, OutboxKind reversed, Runnable reverse) {
        Optional<OutboxEntry> first = tools.store().byIdentity(source.owner(), source.id(), reversed, entry.identity());
        boolean waits =
                first.filter(found -> found.state() == OutboxState.WAITING).isPresent();
        if (waits && move(first.orElseThrow(), OutboxState.WAITING, OutboxState.CANCELLED, "") == 1) {
            move(entry, OutboxState.WAITING, OutboxState.CANCELLED, "");
        } else if (first.filter(found -> found.state() == OutboxState.UNDER_WAY).isEmpty()) {
            reverse.run();
        }
    }

    private byte[] raw(OutboxEntry entry) {
        return Base64.getDecoder()
                .decode(tools.json()
                        .readValue(entry.payload(), Payloads.Mail.class)
                        .raw());
    }

    private void sendMail(OutboxEntry entry) {
        byte[] raw = raw(entry);
        MailCourier.Sending sending = courier().send(raw, () -> claim(entry));
        if (sending instanceof MailCourier.Sending.Taken) {
            finishSending(entry, raw);
        } else if (sending instanceof MailCourier.Sending.TryLater later) {
            retry(entry, later.why());
        } else if (sending instanceof MailCourier.Sending.Refused refused) {
            move(entry, OutboxState.UNDER_WAY, OutboxState.FAILED, refused.why());
        } else if (sending instanceof MailCourier.Sending.Unknown unknown) {
            move(
                    entry,
                    OutboxState.UNDER_WAY,
                    OutboxState.UNCERTAIN,
                    "The connection broke while this answer was handed over: " + unknown.why());
        }
    }

    /** Notes that a mail has gone out, takes it in as my message, and has it put among the sent mail. */
    void finishSending(OutboxEntry entry, byte[] raw) {
        Instant now = tools.clock().instant();
        ParsedMail mail = MailParser.parse(raw);
        tools.locks().write(source.owner(), () -> {
            int moved = tools.store()
                    .move(
                            source.owner(),
                            entry.id(),
                            OutboxState.UNDER_WAY,
                            OutboxState.DONE,
                            entry.attempts(),
                            "",
                            now,
                            now);
            if (moved == 0) {
                LOG.warn("Answer {} went out, but somebody else had moved its entry on meanwhile", entry.id());
            }
            tools.arrivals()
                    .takeIn(
                            new MailArrivals.Origin(source.owner(), source.id(), "", 0, true, false),
                            List.of(new ArrivedMail(0, now, RawMail.of(raw), mail)));
            if (tools.secrets().mailSettings(source).sent().isPresent()) {
                tools.outbox()
                        .add(
                                source.owner(),
                                source.id(),
                                entry.commandId(),
                                OutboxKind.APPEND_SENT,
                                entry.identity(),
                                entry.messageId(),
                                tools.json().readTree(entry.payload()),
                                Duration.ZERO);
            }
            tools.live().changed(source.owner(), List.of(Topic.OUTBOX, Topic.THREADS, Topic.INTAKE));
        });
    }

    /** Takes an entry before anything is done for it; from then on it cannot be taken back, and nobody else takes it. */
    private boolean claim(OutboxEntry entry) {
        return move(entry, OutboxState.WAITING, OutboxState.UNDER_WAY, "") == 1;
    }

    private void finish(OutboxEntry entry) {
        if (move(entry, OutboxState.UNDER_WAY, OutboxState.DONE, "") == 0) {
            LOG.warn("Outbox entry {} was done, but somebody else had moved it on meanwhile", entry.id());
        }
    }

    private void inChat(OutboxEntry entry) {
        if (!claim(entry)) {
            return;
        }
        try {
            new ChatWork(tools.store(), tools.messages(), tools.events(), tools.json())
                    .run(chat.orElseThrow().client(), entry);
            finish(entry);
        } catch (ChatProblem e) {
            if (e.kind() == ChatProblem.Kind.REFUSED) {
                move(entry, OutboxState.UNDER_WAY, OutboxState.FAILED, String.valueOf(e.getMessage()));
            } else {
                if (e.kind() == ChatProblem.Kind.SIGNED_OUT) {
                    chat.orElseThrow().signedOut();
                }
                retry(entry, String.valueOf(e.getMessage()));
            }
        }
    }

    /** Something that is done on a calendar server. */
    @FunctionalInterface
    private interface Writing {
        void run() throws CalendarProblem;
    }

    private void inCalendar(OutboxEntry entry, Writing writing) {
        if (!claim(entry)) {
            return;
        }
        try {
            // It may have been done first.
            if (Outbox.isOvertaken(tools.store(), entry)) {
                finish(entry);
                return;
            }
            writing.run();
            finish(entry);
        } catch (CalendarProblem e) {
            if (e.isRefusal()) {
                move(entry, OutboxState.UNDER_WAY, OutboxState.FAILED, String.valueOf(e.getMessage()));
            } else {
                retry(entry, String.valueOf(e.getMessage()));
            }
        }
    }

    private void append(String folder, OutboxEntry entry) {
        MailCourier courier = courier();
        try {
            courier.append(folder, entry.identity(), raw(entry));
        } catch (MessagingException e) {
            throw new Unfinished(courier.explain(e), e);
        }
    }

    private void keepDraft(OutboxEntry entry) {
        Payloads.KeptDraft kept = tools.json().readValue(entry.payload(), Payloads.KeptDraft.class);
        Optional<byte[]> raw = Optional.ofNullable(entry.messageId())
                .flatMap(id -> tools.drafts().mailOf(source, id));
        if (raw.isEmpty()) {
            return;
        }
        MailCourier courier = courier();
        try {
            courier.keepDraft(kept.folder(), kept.messageId(), raw.get());
        } catch (MessagingException e) {
            throw new Unfinished(courier.explain(e), e);
        }
    }

    private void forgetDraft(OutboxEntry entry) {
        Payloads.KeptDraft kept = tools.json().readValue(entry.payload(), Payloads.KeptDraft.class);
        MailCourier courier = courier();
        try {
            courier.forgetDraft(kept.folder(), kept.messageId());
        } catch (MessagingException e) {
            throw new Unfinished(courier.explain(e), e);
        }
    }

    private void archive(OutboxEntry entry) {
        Payloads.Move move = tools.json().readValue(entry.payload(), Payloads.Move.class);
        MailCourier courier = courier();
        try {
            // What is no longer there was moved by somebody else, who has decided.
            courier.move(at(entry, move, move.from(), move.uidValidity(), move.uid()), move.to())
                    .ifPresent(landed -> tools.store()
                            .setPayload(
                                    source.owner(),
                                    entry.id(),
                                    tools.json().writeValueAsString(move.landed(landed.uidValidity(), landed.uid()))));
        } catch (MessagingException e) {
            throw new Unfinished(courier.explain(e), e);
        }
    }

    /** Brings an archived mail back; says so where it is no longer there or cannot be told from another one. */
    private void bringBack(OutboxEntry entry) {
        if (!claim(entry)) {
            return;
        }
        Optional<OutboxEntry> archived =
                tools.store().byIdentity(source.owner(), source.id(), OutboxKind.ARCHIVE, entry.identity());
        Payloads.Move move = archived.map(OutboxEntry::payload)
                .map(payload -> tools.json().readValue(payload, Payloads.Move.class))
                .orElseGet(() -> tools.json().readValue(entry.payload(), Payloads.Move.class));
        long validity = Optional.ofNullable(move.landedValidity()).orElse(0L);
        long uid = Optional.ofNullable(move.landedUid()).orElse(0L);
        MailCourier courier = courier();
        try {
            if (courier.move(at(entry, move, move.to(), validity, uid), move.from())
                    .isPresent()) {
                finish(entry);
            } else {
                move(
                        entry,
                        OutboxState.UNDER_WAY,
                        OutboxState.FAILED,
                        "The mail is no longer in " + move.to()
                                + ", or it cannot be told from another one there. It was left alone; its decision is taken"
                                + " back all the same.");
            }
        } catch (MessagingException e) {
            LOG.info("Outbox entry {} will be tried again", entry.id(), e);
            retry(entry, courier.explain(e));
        }
    }

    private MailAt at(OutboxEntry entry, Payloads.Move move, String folder, long uidValidity, long uid) {
        return new MailAt(
                folder,
                uidValidity,
                uid,
                Optional.of(move.messageId()).filter(text -> !text.isEmpty()),
                () -> Optional.ofNullable(entry.messageId())
                        .flatMap(id -> tools.rawMails().of(source.owner(), id)));
    }

    private void mark(OutboxEntry entry, boolean read) {
        Payloads.Move place = tools.json().readValue(entry.payload(), Payloads.Move.class);
        MailCourier courier = courier();
        try {
            courier.markRead(at(entry, place, place.from(), place.uidValidity(), place.uid()), read);
        } catch (MessagingException e) {
            throw new Unfinished(courier.explain(e), e);
        }
    }

    /** A step that did not work and can be repeated. */
    private static final class Unfinished extends RuntimeException {
        Unfinished(String explained, Exception cause) {
            super(explained, cause);
        }
    }

    private void repeatable(OutboxEntry entry, Runnable work) {
        if (!claim(entry)) {
            return;
        }
        try {
            work.run();
            finish(entry);
        } catch (Unfinished e) {
            LOG.info("Outbox entry {} will be tried again", entry.id(), e);
            retry(entry, String.valueOf(e.getMessage()));
        }
    }

    private void retry(OutboxEntry entry, String why) {
        OutboxEntry now = tools.store().byId(source.owner(), entry.id()).orElse(entry);
        if (now.state() != OutboxState.WAITING && now.state() != OutboxState.UNDER_WAY) {
            return;
        }
        if (entry.attempts() + 1 >= MOST_ATTEMPTS) {
            move(entry, now.state(), OutboxState.FAILED, why);
            return;
        }
        Duration wait = Duration.ofSeconds(Math.min(300, 1L << Math.min(entry.attempts(), 8)));
        Instant at = tools.clock().instant();
        tools.store()
                .move(
                        source.owner(),
                        entry.id(),
                        now.state(),
                        OutboxState.WAITING,
                        entry.attempts() + 1,
                        cut(why),
                        at.plus(wait),
                        at);
        tools.live().changed(source.owner(), List.of(Topic.OUTBOX));
    }

    private int move(OutboxEntry entry, OutboxState from, OutboxState to, String error) {
        int moved = tools.store()
                .move(
                        source.owner(),
                        entry.id(),
                        from,
                        to,
                        entry.attempts(),
                        cut(error),
                        entry.notBefore(),
                        tools.clock().instant());
        tools.live().changed(source.owner(), List.of(Topic.OUTBOX));
        return moved;
    }

    private static String cut(String text) {
        return text.length() > 900 ? text.substring(0, 900) : text;
    }
}
