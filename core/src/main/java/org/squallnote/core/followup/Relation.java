package org.squallnote.core.followup;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/**
 * What two follow-ups have to do with each other.
 *
 * @param followUpId the one; where something is needed first, the one that is held back
 * @param otherId the other; where something is needed first, that one
 */
public record Relation(UUID id, UUID followUpId, UUID otherId, Kind kind) {

    /** What they have to do with each other. */
    public enum Kind {
        /** The other one is to be done first. */
        NEEDED_FIRST,
        /** They belong together, and either can be done. */
        TOGETHER
    }

    /** Whether, by those there are and one more, a follow-up would in the end have to be done before itself. */
    public static boolean circles(List<Relation> all, UUID followUpId, UUID neededFirst) {
        Set<UUID> seen = new HashSet<>();
        Deque<UUID> next = new ArrayDeque<>(List.of(neededFirst));
        while (!next.isEmpty()) {
            UUID at = next.pop();
            if (at.equals(followUpId)) {
                return true;
            }
            if (seen.add(at)) {
                all.stream()
                        .filter(each -> each.kind() == Kind.NEEDED_FIRST
                                && each.followUpId().equals(at))
                        .forEach(each -> next.push(each.otherId()));
            }
        }
        return false;
    }
}
