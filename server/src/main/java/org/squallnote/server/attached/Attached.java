package org.squallnote.server.attached;

import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Relation;
import org.squallnote.core.followup.WebLink;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Done;
import org.squallnote.server.content.HarmlessTypes;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.message.MessageFiles;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;

/** Gathers what lies with a follow-up. */
@Component
class Attached {

    private final AttachedFiles files;
    private final AttachedLinks links;
    private final AttachedRelations relations;
    private final FollowUps followUps;
    private final FollowUpStore store;
    private final MessageStore messages;
    private final MessageFiles messageFiles;

    Attached(
            AttachedFiles files,
            AttachedLinks links,
            AttachedRelations relations,
            FollowUps followUps,
            FollowUpStore store,
            MessageStore messages,
            MessageFiles messageFiles) {
        this.files = files;
        this.links = links;
        this.relations = relations;
        this.followUps = followUps;
        this.store = store;
        this.messages = messages;
        this.messageFiles = messageFiles;
    }

    /**
     * A file with it.
     *
     * @param viewable whether a browser may show it in place
     */
    record AttachedFile(UUID id, String name, String type, long size, boolean viewable) {}

    /** A file that came with one of its messages. */
    record MessageFile(UUID messageId, int index, String name, String type, long size, boolean viewable) {}

    /** How another follow-up stands to this one. */
    enum Way {
        NEEDED_FIRST,
        HELD_BACK,
        TOGETHER
    }

    /** Another follow-up. */
    record RelatedView(UUID id, UUID followUpId, String title, FollowUpState state, Way way) {}

    /** All of it. */
    record AttachedView(
            List<AttachedFile> files, List<MessageFile> messageFiles, List<WebLink> links, List<RelatedView> related) {}

    AttachedView of(UUID owner, UUID id) {
        followUps.title(owner, id);
        List<UUID> messageIds =
                store.links(owner, id).stream().map(FollowUpLink::messageId).toList();
        return new AttachedView(
                files.of(owner, id).stream()
                        .map(file -> new AttachedFile(
                                file.id(), file.name(), file.type(), file.size(), HarmlessTypes.has(file.type())))
                        .toList(),
                messageIds.isEmpty()
                        ? List.of()
                        : messages.byIds(owner, messageIds).stream()
                                .filter(message -> !message.removed())
                                .flatMap(Attached::filesOf)
                                .toList(),
                links.of(owner, id),
                related(owner, id));
    }

    private static Stream<MessageFile> filesOf(StoredMessage message) {
        return message.files().list().stream()
                .map(file -> new MessageFile(
                        message.id(),
                        file.index(),
                        file.name(),
                        file.type(),
                        file.size(),
                        HarmlessTypes.has(file.type())));
    }

    private List<RelatedView> related(UUID owner, UUID id) {
        List<Relation> all = relations.of(owner, id);
        if (all.isEmpty()) {
            return List.of();
        }
        Map<UUID, FollowUp> byId = new HashMap<>();
        store.byIds(owner, all.stream().map(each -> other(each, id)).toList())
                .forEach(each -> byId.put(each.id(), each));
        return all.stream()
                .flatMap(each -> Optional.ofNullable(byId.get(other(each, id))).stream()
                        .map(other ->
                                new RelatedView(each.id(), other.id(), other.title(), other.state(), way(each, id))))
                .toList();
    }

    private static UUID other(Relation relation, UUID id) {
        return relation.followUpId().equals(id) ? relation.otherId() : relation.followUpId();
    }

    private static Way way(Relation relation, UUID id) {
        if (relation.kind() == Relation.Kind.TOGETHER) {
            return Way.TOGETHER;
        }
        return relation.followUpId().equals(id) ? Way.NEEDED_FIRST : Way.HELD_BACK;
    }

    /** Keeps a file of one of its messages with it. */
    Done keepFile(SignedIn me, UUID commandId, UUID id, UUID fileId, UUID messageId, int index) throws IOException {
        UUID owner = me.accountId();
        followUps.title(owner, id);
        if (store.links(owner, id).stream().noneMatch(link -> link.messageId().equals(messageId))) {
            throw Refusal.notFound("file");
        }
        StoredMessage message = messages.byId(owner, messageId).orElseThrow(() -> Refusal.notFound("message"));
        Files.StoredFile file = MessageFiles.file(message, index);
        try (InputStream in = messageFiles.open(message, index)) {
            return files.add(me, commandId, id, fileId, file.name(), in);
        }
    }
}
