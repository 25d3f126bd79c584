package org.squallnote.server.arrival;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Turn;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnRules;
import org.squallnote.core.turn.TurnState;
import org.squallnote.server.command.Commands;
import org.squallnote.server.live.Topic;
import org.squallnote.store.history.SubjectType;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.Parties;
import org.squallnote.store.message.ThreadingRow;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.StoredThread;
import org.squallnote.store.thread.ThreadStore;

/** Derives a thread's row from its messages, and notes in its history when it opens again. */
@Component
public class ThreadTurns {

    private final MessageStore messages;
    private final ThreadStore threads;
    private final SourceStore sources;
    private final Commands commands;

    ThreadTurns(MessageStore messages, ThreadStore threads, SourceStore sources, Commands commands) {
        this.messages = messages;
        this.threads = threads;
        this.sources = sources;
        this.commands = commands;
    }

    /** Writes the thread as it follows from its messages and the decision by hand. */
    public void refresh(UUID owner, UUID threadId) {
        List<ThreadingRow> rows = messages.threadingInThread(owner, threadId);
        if (rows.isEmpty()) {
            return;
        }
        Optional<StoredThread> before = threads.byId(owner, threadId);
        List<String> mine = sources.addresses(owner);
        TurnState state = TurnRules.after(
                rows.stream().map(row -> event(row, mine)).toList(), before.flatMap(StoredThread::handDecision));
        StoredThread after = derived(owner, threadId, rows, state);
        if (before.isEmpty()) {
            threads.insert(after);
            return;
        }
        threads.updateDerived(after);
        boolean opens = before.get().turn() == Turn.CLOSED && state.reopenedBy().isPresent();
        if (opens) {
            noteOpening(owner, threadId, rows, state.reopenedBy().orElseThrow());
        }
    }

    private void noteOpening(UUID owner, UUID threadId, List<ThreadingRow> rows, UUID messageId) {
        String who = rows.stream()
                .filter(row -> row.id().equals(messageId))
                .map(row -> new Party(row.fromName(), row.fromAddress()).displayName())
                .findFirst()
                .orElse("somebody");
        commands.runWithin(
                owner,
                "thread-opened-again",
                changes -> changes.label("Opened again: " + who + " has written")
                        .record(
                                SubjectType.THREAD,
                                threadId,
                                Map.of("turn", Turn.CLOSED),
                                Map.of("openedBy", messageId))
                        .touch(Topic.THREADS));
    }

    private static TurnEvent event(ThreadingRow row, List<String> mine) {
        List<Party> others = row.recipients().to().stream()
                .filter(party -> !mine.contains(party.address()))
                .toList();
        if (row.channel() == Channel.CHAT && others.size() > 1) {
            others = List.of(); // Said to a whole room, it waits for nobody in particular.
        }
        return new TurnEvent(
                row.id(),
                row.sentAt(),
                row.direction(),
                row.nature(),
                new Party(row.fromName(), row.fromAddress()),
                others);
    }

    private static StoredThread derived(UUID owner, UUID threadId, List<ThreadingRow> rows, TurnState state) {
        ThreadingRow first = rows.get(0);
        String subject = rows.stream()
                .map(ThreadingRow::subject)
                .filter(text -> !text.isBlank())
                .findFirst()
                .orElse("");
        Channel channel = first.channel();
        return new StoredThread(
                threadId,
                owner,
                channel,
                subject,
                first.roomId(),
                state.turn(),
                state.since().orElse(null),
                state.by().orElse(null),
                new Parties(state.awaited()),
                state.reopenedBy().orElse(null),
                rows.get(rows.size() - 1).sentAt(),
                rows.size(),
                null,
                null,
                null,
                null,
                0);
    }
}
