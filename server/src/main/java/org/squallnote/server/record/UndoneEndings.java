package org.squallnote.server.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.record.Stamps;
import org.squallnote.core.record.UndoneChange;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.Turn;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.record.RecordStore;
import org.squallnote.store.thread.ThreadStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was ended and then taken back: it stands in the record as undone, since it was so for a while. */
@Component
class UndoneEndings {

    private static final int MOST = 200;

    private final RecordStore store;
    private final FollowUpStore followUps;
    private final ThreadStore threads;
    private final JsonMapper json;

    UndoneEndings(RecordStore store, FollowUpStore followUps, ThreadStore threads, JsonMapper json) {
        this.store = store;
        this.followUps = followUps;
        this.threads = threads;
        this.json = json;
    }

    /** One of them: what ended how. */
    private record Ending(UndoneChange change, FollowUpState state) {}

    List<EndedLine> between(UUID owner, Instant fromInclusive, Instant toExclusive) {
        List<Ending> endings = store.undone(owner, fromInclusive, toExclusive, MOST).stream()
                .flatMap(each -> ending(each).stream())
                .toList();
        if (endings.isEmpty()) {
            return List.of();
        }
        Map<UUID, FollowUp> followUpOf = ids(endings, SubjectType.FOLLOW_UP).isEmpty()
                ? Map.of()
                : followUps.byIds(owner, ids(endings, SubjectType.FOLLOW_UP)).stream()
                        .collect(Collectors.toMap(FollowUp::id, Function.identity()));
        Map<UUID, StoredThread> threadOf = ids(endings, SubjectType.THREAD).isEmpty()
                ? Map.of()
                : threads.byIds(owner, ids(endings, SubjectType.THREAD)).stream()
                        .collect(Collectors.toMap(StoredThread::id, Function.identity()));
        return endings.stream()
                .flatMap(each -> line(each, followUpOf, threadOf).stream())
                .toList();
    }

    private static Collection<UUID> ids(List<Ending> endings, SubjectType type) {
        return endings.stream()
                .map(Ending::change)
                .filter(change -> change.subjectType() == type)
                .map(UndoneChange::subjectId)
                .collect(Collectors.toSet());
    }

    private Optional<Ending> ending(UndoneChange change) {
        JsonNode after = json.readTree(change.after());
        if (change.subjectType() == SubjectType.THREAD) {
            return after.path("turn").asString("").equals(Turn.CLOSED.name())
                    ? Optional.of(new Ending(change, FollowUpState.DONE))
                    : Optional.empty();
        }
        String state = after.path("state").asString("");
        return List.of(FollowUpState.DONE, FollowUpState.DROPPED).stream()
                .filter(each -> each.name().equals(state))
                .findFirst()
                .map(each -> new Ending(change, each));
    }

    /** Of what is not there any more, as when its making was taken back too, nothing is said. */
    private static Optional<EndedLine> line(
            Ending ending, Map<UUID, FollowUp> followUpOf, Map<UUID, StoredThread> threadOf) {
        UndoneChange change = ending.change();
        Stamps stamps = new Stamps(null, change.at(), null, change.at(), 0, null);
        if (change.subjectType() == SubjectType.THREAD) {
            return Optional.ofNullable(threadOf.get(change.subjectId()))
                    .map(thread -> line(EndedLine.Kind.THREAD, ending, thread.subject(), null, thread.id(), stamps));
        }
        return Optional.ofNullable(followUpOf.get(change.subjectId()))
                .map(followUp ->
                        line(EndedLine.Kind.FOLLOW_UP, ending, followUp.title(), followUp.categoryId(), null, stamps));
    }

    private static EndedLine line(
            EndedLine.Kind kind,
            Ending ending,
            String title,
            @Nullable UUID categoryId,
            @Nullable UUID threadId,
            Stamps stamps) {
        return new EndedLine(
                kind,
                ending.change().subjectId(),
                title,
                ending.state(),
                null,
                categoryId,
                null,
                stamps,
                0,
                ending.change().actor(),
                "",
                "",
                null,
                threadId,
                "",
                ending.change().undoneAt());
    }
}
