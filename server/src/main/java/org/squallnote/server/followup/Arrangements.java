package org.squallnote.server.followup;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Arrangement;
import org.squallnote.core.followup.Facet;
import org.squallnote.core.followup.FacetFilter;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.ArrangementStore;
import tools.jackson.databind.json.JsonMapper;

/** How the list of follow-ups stands, under names. */
@Component
public class Arrangements extends KeptState<Arrangements.State> {

    private static final int MOST = 30;

    private final ArrangementStore store;
    private final Commands commands;

    Arrangements(ArrangementStore store, Commands commands, JsonMapper json) {
        super(SubjectType.ARRANGEMENT, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** One as it stands in the history. */
    record State(String name, String letter, Facet facet, boolean byHand, FacetFilter onlyThose) {}

    /** Those of an account, by name. */
    public List<Arrangement> of(UUID owner) {
        return store.of(owner);
    }

    Done save(SignedIn me, UUID commandId, UUID id, State wanted) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "arrangement-kept", changes -> {
            List<Arrangement> others = store.of(owner).stream()
                    .filter(each -> !each.id().equals(id))
                    .toList();
            if (others.size() >= MOST) {
                throw Refusal.invalid("There are " + MOST + " arrangements already. Delete one to make room.");
            }
            others.stream()
                    .filter(each -> !wanted.letter().isEmpty() && each.letter().equals(wanted.letter()))
                    .findFirst()
                    .ifPresent(other -> {
                        throw Refusal.field(
                                "letter",
                                "This key belongs to " + other.name() + ". Choose another. Nothing was kept.");
                    });
            change(owner, id, wanted, changes);
            changes.label("Arrangement kept: " + wanted.name());
        });
    }

    Done delete(SignedIn me, UUID commandId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "arrangement-deleted", changes -> {
            Arrangement kept = store.byId(owner, id).orElseThrow(() -> Refusal.notFound("arrangement"));
            change(owner, id, null, changes);
            changes.label("Arrangement deleted: " + kept.name());
        });
    }

    @Override
    protected @Nullable State state(UUID owner, UUID id) {
        return store.byId(owner, id)
                .map(each -> new State(each.name(), each.letter(), each.facet(), each.byHand(), each.onlyThose()))
                .orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        if (state == null) {
            store.delete(owner, id);
            return;
        }
        Arrangement kept = new Arrangement(
                id, owner, state.name(), state.letter(), state.facet(), state.byHand(), state.onlyThose());
        if (store.update(kept) == 0) {
            store.insert(kept);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
