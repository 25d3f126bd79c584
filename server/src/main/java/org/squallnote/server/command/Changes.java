package org.squallnote.server.command;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.live.Topic;

/** Collects what a command changes, for its history entries. */
public final class Changes {

    record Change(
            SubjectType type,
            UUID subjectId,
            @Nullable Object before,
            @Nullable Object after) {}

    private final UUID commandId;
    private final List<Change> list = new ArrayList<>();
    private final Set<Topic> topics = EnumSet.noneOf(Topic.class);
    private String label = "";
    private boolean announced;

    Changes(UUID commandId) {
        this.commandId = commandId;
    }

    /** The command. */
    public UUID commandId() {
        return commandId;
    }

    /** Says what the command did, as a past-tense clause for toast and history. */
    public Changes label(String text) {
        label = text.length() > 300 ? text.substring(0, 300) : text;
        return this;
    }

    /**
     * Notes a change of one row.
     *
     * @param before the state before, null when it did not exist
     * @param after the state after, null when it no longer exists
     */
    public Changes record(SubjectType type, UUID subjectId, @Nullable Object before, @Nullable Object after) {
        list.add(new Change(type, subjectId, before, after));
        return this;
    }

    /** Notes what open pages have to load again. */
    public Changes touch(Topic... touched) {
        topics.addAll(List.of(touched));
        return this;
    }

    /** Has open pages say what happened, with a way to undo it: for what happens without a request. */
    public Changes announce() {
        announced = true;
        return this;
    }

    boolean announced() {
        return announced;
    }

    String label() {
        return label;
    }

    List<Change> list() {
        return list;
    }

    Set<Topic> topics() {
        return topics;
    }
}
