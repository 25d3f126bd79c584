package org.squallnote.server.message;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.draft.Draft;
import org.squallnote.core.draft.DraftFile;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Source;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.draft.DraftFileStore;
import org.squallnote.store.draft.DraftStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.invitation.InvitationStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.source.SourceStore;

/** Finds messages, each only for its owner. */
@Component
class Messages {

    private final MessageStore store;
    private final SourceStore sources;
    private final FollowUpStore followUps;
    private final DraftStore drafts;
    private final DraftFileStore draftFiles;
    private final RawMails rawMails;
    private final InvitationStore invitations;

    Messages(
            MessageStore store,
            SourceStore sources,
            FollowUpStore followUps,
            DraftStore drafts,
            DraftFileStore draftFiles,
            RawMails rawMails,
            InvitationStore invitations) {
        this.invitations = invitations;
        this.store = store;
        this.sources = sources;
        this.followUps = followUps;
        this.drafts = drafts;
        this.draftFiles = draftFiles;
        this.rawMails = rawMails;
    }

    /** A message, refused where there is none. */
    StoredMessage get(UUID owner, UUID id) {
        return store.byId(owner, id).orElseThrow(() -> Refusal.notFound("message"));
    }

    /** A mail as it came, refused where there is none. */
    RawMail raw(UUID owner, UUID id) {
        if (get(owner, id).channel() != Channel.MAIL) {
            throw Refusal.notFound("mail");
        }
        return rawMails.of(owner, id).orElseThrow(() -> Refusal.notFound("message"));
    }

    /** A chat event as it came, refused where there is none. */
    RawMail event(UUID owner, UUID id) {
        return rawMails.of(owner, id).orElseThrow(() -> Refusal.notFound("message"));
    }

    /**
     * What lies around a message.
     *
     * @param room the name of its room
     * @param source the name of its source
     * @param followUps those of its thread
     * @param linked which of them are its own
     * @param files what its draft will carry
     * @param meeting whether it says something of a meeting
     */
    record Around(
            Optional<String> room,
            String source,
            List<FollowUp> followUps,
            Set<UUID> linked,
            Optional<Draft> draft,
            List<DraftFile> files,
            boolean meeting) {}

    Around around(StoredMessage message) {
        UUID owner = message.owner();
        return new Around(
                Optional.ofNullable(message.roomId())
                        .flatMap(room -> sources.room(owner, room))
                        .map(ChatRoom::name),
                sources.byId(owner, message.sourceId()).map(Source::name).orElse(""),
                followUps.ofThread(owner, message.threadId()),
                followUps.ofMessage(owner, message.id()).stream()
                        .map(FollowUp::id)
                        .collect(Collectors.toSet()),
                drafts.of(owner, message.id()),
                draftFiles.waiting(owner, message.id()),
                invitations.isAboutMeeting(owner, message.id()));
    }
}
