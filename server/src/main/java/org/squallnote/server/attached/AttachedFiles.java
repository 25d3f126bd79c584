package org.squallnote.server.attached;

import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUpFile;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.text.Beginning;
import org.squallnote.search.FileType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.followup.AttachedStore;
import tools.jackson.databind.json.JsonMapper;

/** Files that lie with follow-ups. Their bytes lie beside the database, each once, named after their sum. */
@Component
class AttachedFiles extends KeptState<FollowUpFile> {

    private static final int LONGEST_NAME = 255;

    private final AttachedStore store;
    private final ContentFiles contents;
    private final FollowUps followUps;
    private final Commands commands;
    private final Clock clock;

    AttachedFiles(
            AttachedStore store,
            ContentFiles contents,
            FollowUps followUps,
            Commands commands,
            JsonMapper json,
            Clock clock) {
        super(SubjectType.FOLLOW_UP_FILE, FollowUpFile.class, json);
        this.store = store;
        this.contents = contents;
        this.followUps = followUps;
        this.commands = commands;
        this.clock = clock;
    }

    List<FollowUpFile> of(UUID owner, UUID followUpId) {
        return store.files(owner, followUpId);
    }

    FollowUpFile get(UUID owner, UUID followUpId, UUID id) {
        return store.file(owner, id)
                .filter(file -> file.followUpId().equals(followUpId))
                .orElseThrow(() -> Refusal.notFound("file"));
    }

    RawMail content(FollowUpFile file) {
        return contents.of(file.sha256(), file.size());
    }

    /** Puts a file with a follow-up. It is on the disk, and of a size that is allowed, before anything is changed. */
    Done add(SignedIn me, UUID commandId, UUID followUpId, UUID id, String name, InputStream in) throws IOException {
        UUID owner = me.accountId();
        followUps.title(owner, followUpId);
        FollowUpFile file = taken(followUpId, id, Beginning.onOneLine(name, LONGEST_NAME), in);
        return commands.run(me, commandId, "follow-up-file-added", changes -> {
            if (store.files(owner, followUpId).size() >= FollowUpFile.MOST) {
                throw Refusal.invalid("There are " + FollowUpFile.MOST
                        + " files with this follow-up already. Take one away to make room. Nothing was added.");
            }
            change(owner, id, file, changes);
            changes.label("File added: " + file.name());
        });
    }

    private FollowUpFile taken(UUID followUpId, UUID id, String name, InputStream in) throws IOException {
        byte[] start = in.readNBytes(FileType.START_BYTES);
        long size = start.length;
        try (MailSpool.Writing writing = contents.begin()) {
            writing.write(start, 0, start.length);
            byte[] some = new byte[FileType.START_BYTES];
            for (int length = in.read(some); length >= 0; length = in.read(some)) {
                size += length;
                if (size > FollowUpFile.LARGEST) {
                    throw Refusal.invalid(name + " is larger than 25 MB. It was not added.");
                }
                writing.write(some, 0, length);
            }
            RawMail kept = writing.end();
            return new FollowUpFile(
                    id, followUpId, name, FileType.of(start, name), kept.sha256(), kept.size(), clock.instant());
        }
    }

    Done remove(SignedIn me, UUID commandId, UUID followUpId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-up-file-removed", changes -> {
            FollowUpFile file = get(owner, followUpId, id);
            change(owner, id, null, changes);
            changes.label("File taken away: " + file.name());
        });
    }

    @Override
    protected @Nullable FollowUpFile state(UUID owner, UUID id) {
        return store.file(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable FollowUpFile state) {
        if (state == null) {
            FollowUpFile now = state(owner, id);
            if (now != null) {
                store.removeFile(owner, now.followUpId(), id, clock.instant());
            }
            return;
        }
        try (RawMail.Opened opened = content(state).open()) {
            store.deleteFile(owner, id);
            store.insertFile(owner, state);
        } catch (IOException e) {
            throw Refusal.conflict("This file was taken away too long ago, and is gone. Nothing was changed.");
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
