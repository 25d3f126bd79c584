package org.squallnote.search;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.search.Kind;
import org.squallnote.core.search.Standing;

/**
 * Something that can be found.
 *
 * @param id of the message or follow-up; the address of a person; of a file the message's id, a colon and its number
 * @param text where it is looked for
 * @param kept a text that is found nowhere else and is kept in the index, such as that of a file
 * @param people who wrote it, got it or is named in it
 * @param at when it was sent, made or last heard of
 * @param links the messages of a follow-up
 */
@RecordBuilder
public record Entry(
        Kind kind,
        String id,
        String title,
        String text,
        String kept,
        List<Party> people,
        Instant at,
        @Nullable UUID categoryId,
        @Nullable UUID sourceId,
        @Nullable String roomId,
        @Nullable Standing standing,
        boolean withFile,
        boolean linked,
        Set<UUID> links) {

    /** Copies the lists. */
    public Entry {
        people = List.copyOf(people);
        links = Set.copyOf(links);
    }

    /** What makes it the same entry when it is put again. */
    String key() {
        return key(kind, id);
    }

    static String key(Kind kind, String id) {
        return kind + " " + id;
    }
}
