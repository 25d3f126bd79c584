package org.squallnote.server.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.record.RecordFilter;
import org.squallnote.core.record.Stamps;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.record.RecordStore;

/** The threads among what has ended. */
@Component
class ClosedThreads {

    private final RecordStore store;
    private final MessageStore messages;

    ClosedThreads(RecordStore store, MessageStore messages) {
        this.store = store;
        this.messages = messages;
    }

    List<EndedLine> lines(UUID owner, RecordFilter filter, EndedRecord.Next from, int most, WorkingTime workingTime) {
        List<StoredThread> closed = store.closed(
                owner,
                filter.fromInclusive(),
                filter.toExclusive(),
                filter.addresses(),
                from.before(),
                from.beforeId(),
                most);
        if (closed.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<ThreadingRow>> rows = new HashMap<>();
        messages.threadingInThreads(owner, closed.stream().map(StoredThread::id).toList())
                .forEach(row -> rows.computeIfAbsent(row.threadId(), id -> new ArrayList<>())
                        .add(row));
        return closed.stream()
                .flatMap(each -> Optional.ofNullable(each.since())
                        .map(at -> line(each, at, rows.getOrDefault(each.id(), List.of()), workingTime))
                        .stream())
                .toList();
    }

    private static EndedLine line(
            StoredThread thread, Instant closedAt, List<ThreadingRow> rows, WorkingTime workingTime) {
        Optional<ThreadingRow> first = rows.stream().min(Comparator.comparing(ThreadingRow::sentAt));
        Optional<Instant> asked = rows.stream()
                .filter(row -> row.direction() == Direction.INCOMING)
                .map(ThreadingRow::sentAt)
                .min(Comparator.naturalOrder());
        Optional<Instant> answered = rows.stream()
                .filter(row -> row.direction() == Direction.OUTGOING)
                .map(ThreadingRow::sentAt)
                .max(Comparator.naturalOrder());
        Optional<Party> from = rows.stream()
                .filter(row -> row.direction() == Direction.INCOMING)
                .min(Comparator.comparing(ThreadingRow::sentAt))
                .map(row -> new Party(row.fromName(), row.fromAddress()));
        Instant begun = first.map(ThreadingRow::sentAt).orElse(closedAt);
        return new EndedLine(
                EndedLine.Kind.THREAD,
                thread.id(),
                thread.subject(),
                FollowUpState.DONE,
                thread.handReason(),
                null,
                null,
                new Stamps(
                        asked.orElse(null),
                        begun,
                        answered.orElse(null),
                        closedAt,
                        closedAt.isAfter(begun)
                                ? workingTime.between(begun, closedAt).toMinutes()
                                : 0,
                        null),
                0,
                "",
                from.map(Party::displayName).orElse(""),
                from.map(Party::address).orElse(""),
                first.map(ThreadingRow::id).orElse(null),
                thread.id(),
                "",
                null);
    }
}
