package org.squallnote.server.search;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.KeptSearch;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.search.SearchStore;
import tools.jackson.databind.json.JsonMapper;

/** Searches under a name, and how their changes are taken back. */
@Component
class KeptSearches extends KeptState<KeptSearches.State> {

    private static final int MOST = 50;

    private final SearchStore store;
    private final Commands commands;

    KeptSearches(SearchStore store, Commands commands, JsonMapper json) {
        super(SubjectType.KEPT_SEARCH, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** A search as it stands in the history. */
    record State(String name, String words, Filter filter) {}

    List<KeptSearch> of(UUID owner) {
        return store.kept(owner);
    }

    Done save(SignedIn me, UUID commandId, UUID id, State search) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "search-kept", changes -> {
            if (store.keptById(owner, id).isEmpty() && store.kept(owner).size() >= MOST) {
                throw Refusal.invalid("There are " + MOST + " kept searches already. Delete one to make room.");
            }
            change(owner, id, search, changes);
            changes.label("Search kept: " + search.name());
        });
    }

    Done delete(SignedIn me, UUID commandId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "search-deleted", changes -> {
            KeptSearch kept = store.keptById(owner, id).orElseThrow(() -> Refusal.notFound("search"));
            change(owner, id, null, changes);
            changes.label("Kept search deleted: " + kept.name());
        });
    }

    @Override
    protected @Nullable State state(UUID owner, UUID id) {
        return store.keptById(owner, id)
                .map(kept -> new State(kept.name(), kept.words(), kept.filter()))
                .orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        if (state == null) {
            store.delete(owner, id);
            return;
        }
        KeptSearch kept = new KeptSearch(id, owner, state.name(), state.words(), state.filter());
        if (store.update(kept) == 0) {
            store.insert(kept);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SEARCHES};
    }
}
