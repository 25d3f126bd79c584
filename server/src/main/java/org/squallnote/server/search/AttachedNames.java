package org.squallnote.server.search;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.AttachedWords;
import org.squallnote.store.followup.AttachedStore;

/** What lies with follow-ups, by its names: follow-ups are found by these too. */
@Component
class AttachedNames {

    private final AttachedStore store;

    AttachedNames(AttachedStore store) {
        this.store = store;
    }

    Map<UUID, List<String>> of(UUID owner, Collection<UUID> followUpIds) {
        return followUpIds.isEmpty()
                ? Map.of()
                : store.words(owner, followUpIds).stream()
                        .collect(Collectors.groupingBy(
                                AttachedWords::followUpId,
                                Collectors.mapping(AttachedWords::words, Collectors.toList())));
    }
}
