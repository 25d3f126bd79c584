package org.squallnote.server.followup;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpGroups;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.Source;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.source.SourceStore;

/** The names of what follow-ups are in and came from. */
@Component
class FollowUpNames {

    private final CategoryStore categories;
    private final SourceStore sources;
    private final FollowUpStore store;

    FollowUpNames(CategoryStore categories, SourceStore sources, FollowUpStore store) {
        this.categories = categories;
        this.sources = sources;
        this.store = store;
    }

    /** Those of an account as they are now. */
    FollowUpGroups.Names of(UUID owner, Map<UUID, FollowUpOrigin> origins) {
        Map<UUID, String> categoryNames = new HashMap<>();
        for (Category each : categories.of(owner)) {
            categoryNames.put(each.id(), each.name());
        }
        Map<UUID, String> sourceNames = new HashMap<>();
        for (Source each : sources.of(owner)) {
            sourceNames.put(each.id(), each.name());
        }
        Map<UUID, UUID> sourceOf = new HashMap<>();
        store.sources(owner).forEach(each -> sourceOf.putIfAbsent(each.followUpId(), each.sourceId()));
        return new FollowUpGroups.Names() {
            @Override
            public String category(FollowUp followUp) {
                UUID id = followUp.categoryId();
                return id == null ? "" : categoryNames.getOrDefault(id, "");
            }

            @Override
            public Optional<Party> writer(FollowUp followUp) {
                return Optional.ofNullable(origins.get(followUp.id()))
                        .map(origin -> new Party(origin.fromName(), origin.fromAddress()));
            }

            @Override
            public Optional<Map.Entry<String, String>> source(FollowUp followUp) {
                return Optional.ofNullable(sourceOf.get(followUp.id()))
                        .map(id -> Map.entry(id.toString(), sourceNames.getOrDefault(id, "A source of before")));
            }
        };
    }
}
