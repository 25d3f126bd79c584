package org.squallnote.store.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpFile;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.WebLink;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.store.followup.AttachedStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.search.Pending.What;

/**
 * Marks what a statement changes for the index, in the transaction of that statement: whatever way a change comes, the
 * mark is there exactly when the change is.
 */
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
public final class SearchMarks implements Interceptor {

    private static final String MARK = SearchStore.class.getName() + ".mark";
    private static final String MESSAGES = MessageStore.class.getName() + ".";
    private static final String ATTACHED = AttachedStore.class.getName() + ".";
    private static final String FOLLOW_UPS = FollowUpStore.class.getName() + ".";

    /** What changes a message so that it is found otherwise. */
    public static final Set<String> OF_MESSAGES = Set.of("insertInto", "decide", "edit", "removeInto");

    /** What changes nothing by which a message is found. */
    public static final Set<String> NOT_OF_MESSAGES = Set.of(
            "insertLink",
            "moveLinks",
            "moveComponent",
            "setThread",
            "putOff",
            "foundIn",
            "correct",
            "updatePlace",
            "insertPlace",
            "deleteOutdatedPlaces",
            "updateReaction",
            "insertReaction",
            "deleteReaction",
            "updateChange",
            "insertChange",
            "forgetChanges");

    /** What changes a follow-up, or which messages belong to it. */
    public static final Set<String> OF_FOLLOW_UPS =
            Set.of("insert", "update", "delete", "insertLink", "deleteLinks", "retitle");

    /** A snapshot is not looked at: the message itself is. */
    public static final Set<String> NOT_OF_FOLLOW_UPS = Set.of("keepOtherwise");

    /** What changes by which names of what lies with it a follow-up is found. */
    public static final Set<String> OF_ATTACHED = Set.of("insertFile", "removeFile", "insertWebLink", "deleteWebLink");

    /** What is forgotten was taken away before; relations have no words. */
    public static final Set<String> NOT_OF_ATTACHED =
            Set.of("deleteFile", "forgetFiles", "insertRelation", "deleteRelation");

    private record Subject(UUID owner, What what, UUID id) {}

    @Override
    public @Nullable Object intercept(Invocation invocation) throws Throwable {
        Object answer = invocation.proceed();
        MappedStatement statement = (MappedStatement) invocation.getArgs()[0];
        List<Subject> subjects = subjects(statement.getId(), invocation.getArgs()[1]);
        if (!subjects.isEmpty()) {
            MappedStatement mark = statement.getConfiguration().getMappedStatement(MARK);
            for (Subject each : subjects) {
                ((Executor) invocation.getTarget())
                        .update(mark, Map.of("owner", each.owner(), "what", each.what(), "subjectId", each.id()));
            }
        }
        return answer;
    }

    private static List<Subject> subjects(String statement, @Nullable Object given) {
        if (statement.startsWith(MESSAGES) && OF_MESSAGES.contains(statement.substring(MESSAGES.length()))) {
            return message(given);
        }
        if (statement.startsWith(FOLLOW_UPS) && OF_FOLLOW_UPS.contains(statement.substring(FOLLOW_UPS.length()))) {
            return followUps(given);
        }
        if (statement.startsWith(ATTACHED) && OF_ATTACHED.contains(statement.substring(ATTACHED.length()))) {
            return attached(given);
        }
        return List.of();
    }

    private static List<Subject> attached(@Nullable Object given) {
        UUID owner = named(given, UUID.class, "owner").orElseThrow();
        UUID followUpId = named(given, FollowUpFile.class, "f")
                .map(FollowUpFile::followUpId)
                .or(() -> named(given, WebLink.class, "l").map(WebLink::followUpId))
                .or(() -> named(given, UUID.class, "followUpId"))
                .orElseThrow();
        return List.of(new Subject(owner, What.FOLLOW_UP, followUpId));
    }

    private static List<Subject> message(@Nullable Object given) {
        StoredMessage whole = named(given, StoredMessage.class, "m").orElse(null);
        if (whole != null) {
            return List.of(new Subject(whole.owner(), What.MESSAGE, whole.id()));
        }
        UUID owner = named(given, UUID.class, "owner").orElseThrow();
        return List.of(
                new Subject(owner, What.MESSAGE, named(given, UUID.class, "id").orElseThrow()));
    }

    private static List<Subject> followUps(@Nullable Object given) {
        if (given instanceof FollowUp followUp) {
            return List.of(new Subject(followUp.owner(), What.FOLLOW_UP, followUp.id()));
        }
        UUID owner = named(given, UUID.class, "owner").orElseThrow();
        List<?> several = named(given, List.class, "followUps").orElse(null);
        if (several != null) {
            return several.stream()
                    .map(id -> new Subject(owner, What.FOLLOW_UP, (UUID) id))
                    .toList();
        }
        return List.of(new Subject(
                owner,
                What.FOLLOW_UP,
                named(given, FollowUpLink.class, "link")
                        .map(FollowUpLink::followUpId)
                        .or(() -> named(given, UUID.class, "id", "followUpId"))
                        .orElseThrow()));
    }

    private static <T> Optional<T> named(@Nullable Object given, Class<T> type, String... names) {
        if (given instanceof Map<?, ?> map) {
            for (String name : names) {
                if (map.containsKey(name) && type.isInstance(map.get(name))) {
                    return Optional.of(type.cast(map.get(name)));
                }
            }
        }
        return Optional.empty();
    }
}
