package org.squallnote.server.thread;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.thread.LastDecided;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadGrouping;
import org.squallnote.core.turn.AnswerWord;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.content.HarmlessTypes;
import org.squallnote.server.reading.ReadableMessage;

/** Threads. */
@RestController
class ThreadController {

    private final Threads threads;
    private final ThreadPages pages;
    private final AnswersGiven answers;
    private final SplitsAndJoins shapes;

    ThreadController(Threads threads, ThreadPages pages, AnswersGiven answers, SplitsAndJoins shapes) {
        this.shapes = shapes;
        this.answers = answers;
        this.pages = pages;
        this.threads = threads;
    }

    /**
     * Some threads.
     *
     * @param due in how many somebody is to be reminded today
     * @param promised in how many I have promised something
     * @param closable in how many somebody has said a closing word
     */
    record ThreadsView(
            Map<Turn, Integer> counts,
            int due,
            int promised,
            int closable,
            List<ThreadLine> lines,
            boolean more,
            Instant now) {}

    /**
     * A message of a thread.
     *
     * @param canReact whether a sign can be put on it
     * @param answersId the message of the thread that it replies to
     */
    record ThreadMessage(
            UUID id,
            Direction direction,
            Nature nature,
            Party from,
            Instant sentAt,
            String ownWords,
            boolean hasMore,
            List<ThreadFile> files,
            List<ThreadPages.Sign> reactions,
            boolean edited,
            boolean removed,
            boolean canReact,
            @Nullable UUID answersId) {}

    /** @param viewable whether a browser may show it as it is */
    record ThreadFile(int index, String name, String type, long size, boolean viewable) {}

    /**
     * A thread with its messages.
     *
     * @param answers what counts as an answer to something that I had asked, the newest first
     * @param lastDecided up to when I have dealt with it; null where I have not
     */
    record ThreadDetail(
            ThreadLine line,
            List<ThreadMessage> messages,
            List<AnswersGiven.AnswerView> answers,
            @Nullable Instant lastDecided,
            Instant now) {}

    /** Threads of one list, those with others unless another one is asked for; grouped where that is asked for. */
    @GetMapping("/api/threads")
    ThreadsView list(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "WITH_OTHERS") Turn turn,
            @RequestParam(defaultValue = "THREAD") ThreadGrouping by,
            @RequestParam(defaultValue = "0") int offset) {
        Instant now = pages.now();
        ThreadPages.Page page = pages.page(me.accountId(), turn, by, offset, now);
        return new ThreadsView(
                pages.counts(me.accountId()),
                pages.countDue(me.accountId(), now),
                pages.countPromised(me.accountId()),
                pages.countClosed(me.accountId()),
                page.lines(),
                page.more(),
                now);
    }

    record ClosableView(List<ThreadPages.Closable> threads, Instant now) {}

    /** Threads that may be closed: with a closing word, or silent for so many working days while nobody owes anything. */
    @GetMapping("/api/threads/closable")
    ClosableView closable(@CurrentAccount SignedIn me, @RequestParam(defaultValue = "10") @Min(1) @Max(250) int days) {
        Instant now = pages.now();
        return new ClosableView(pages.closable(me.accountId(), days, now), now);
    }

    @GetMapping("/api/threads/{id}")
    ThreadDetail one(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        StoredThread thread = threads.get(me.accountId(), id);
        List<StoredMessage> stored = pages.messages(thread);
        Map<String, List<ThreadPages.Sign>> reactions = pages.reactions(thread, stored);
        Map<String, UUID> byMessageId = new HashMap<>();
        stored.forEach(message -> byMessageId.put(message.messageId(), message.id()));
        List<ThreadMessage> all = stored.stream()
                .map(message -> message(
                        message,
                        reactions.getOrDefault(message.messageId(), List.of()),
                        message.answers() == null ? null : byMessageId.get(message.answers())))
                .toList();
        Instant now = pages.now();
        return new ThreadDetail(
                pages.line(thread, now),
                all,
                answers.of(thread, stored),
                LastDecided.of(stored).orElse(null),
                now);
    }

    private static ThreadMessage message(
            StoredMessage message, List<ThreadPages.Sign> reactions, @Nullable UUID answersId) {
        OwnWords words = OwnWords.of(message.body(), message.from().name());
        return new ThreadMessage(
                message.id(),
                message.direction(),
                message.nature(),
                message.from().shown(),
                message.sentAt(),
                words.ownOrAll(),
                !words.own().isEmpty() && !words.carried().isEmpty(),
                message.files().list().stream()
                        .map(file -> new ThreadFile(
                                file.index(), file.name(), file.type(), file.size(), HarmlessTypes.has(file.type())))
                        .toList(),
                reactions,
                message.edited(),
                message.removed(),
                message.roomId() != null && !message.removed() && !ReadableMessage.isInvitation(message.messageId()),
                answersId);
    }

    /**
     * How a message counts.
     *
     * @param missing what is still missing, of one that is a part
     * @param always whether later messages of that kind from its writer are no answers either
     */
    record AnswerWordForm(
            @NotNull AnswerWord.Kind verdict,
            @NotNull @Size(max = AnswerWord.LONGEST) String missing,
            boolean always) {}

    /** Says by hand what a message is that counted as an answer. */
    @PutMapping("/api/threads/{id}/answers/{messageId}")
    Done say(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID messageId,
            @Valid @RequestBody AnswerWordForm body) {
        return answers.say(me, commandId, id, messageId, body.verdict(), body.missing(), body.always());
    }

    /**
     * One decision about one or several threads.
     *
     * @param reason why they are closed; null for another decision
     * @param day when those awaited are to be chased; null for another decision
     * @param endFollowUps whether the open follow-ups made from them are done with that
     */
    record ThreadDecisions(
            @NotNull @Size(min = 1, max = 500) List<@NotNull UUID> threadIds,
            @NotNull Threads.Choice choice,
            @Nullable CloseReason reason,
            @Nullable LocalDate day,
            boolean endFollowUps) {}

    /** Decides about one or several threads, with one way back. */
    @PostMapping("/api/threads/decisions")
    Done decide(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ThreadDecisions body) {
        return threads.decide(
                me,
                commandId,
                body.threadIds(),
                new Threads.Wanted(body.choice(), body.reason(), body.day(), body.endFollowUps()));
    }

    /** Lets a thread of its own begin with a message. */
    @PostMapping("/api/threads/{id}/split/{messageId}")
    Done split(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID messageId) {
        return shapes.split(me, commandId, id, messageId);
    }

    /** @param threadIds those that become one, the one into which the others go first */
    record ThreadsToJoin(@NotNull @Size(min = 2, max = 20) List<@NotNull UUID> threadIds) {}

    /** Joins threads into one. */
    @PostMapping("/api/threads/join")
    Done join(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ThreadsToJoin body) {
        return shapes.join(me, commandId, body.threadIds());
    }
}
