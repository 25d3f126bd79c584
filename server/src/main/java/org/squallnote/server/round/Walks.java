package org.squallnote.server.round;

import java.time.Clock;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.round.KeptLine;
import org.squallnote.core.round.RoundState;
import org.squallnote.core.round.RoundStep;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.preference.PreferenceStore;
import org.squallnote.store.round.RoundStore;
import tools.jackson.databind.json.JsonMapper;

/** How far a walk has come, kept so that it can be left at any step, and which lines stay as they are in it. */
@Component
class Walks extends KeptState<KeptLine> {

    private static final String NAME = "round";

    private final RoundStore store;
    private final PreferenceStore preferences;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    Walks(RoundStore store, PreferenceStore preferences, Commands commands, Clock clock, JsonMapper json) {
        super(SubjectType.ROUND_LINE, KeptLine.class, json);
        this.store = store;
        this.preferences = preferences;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    RoundState of(UUID owner) {
        return preferences
                .of(owner, NAME)
                .map(text -> json.readValue(text, RoundState.class))
                .orElse(RoundState.NONE);
    }

    boolean isUnderWay(RoundState state) {
        return state.underWay(clock.instant());
    }

    /** The keys of the lines that stay as they are; none while no walk is under way. */
    Set<String> kept(UUID owner, RoundState state) {
        return isUnderWay(state)
                ? store.kept(owner).stream().map(KeptLine::line).collect(Collectors.toSet())
                : Set.of();
    }

    Done begin(SignedIn me, UUID commandId) {
        return move(me, commandId, "round-begun", "The round begins", state -> {
            store.clear(me.accountId());
            return state.begun(clock.instant());
        });
    }

    Done goTo(SignedIn me, UUID commandId, RoundStep step) {
        return move(
                me,
                commandId,
                "round-step",
                "Another step of the round",
                state -> underWay(state).at(step));
    }

    Done finish(SignedIn me, UUID commandId) {
        return move(
                me,
                commandId,
                "round-finished",
                "The round is done",
                state -> underWay(state).finished(clock.instant()));
    }

    /** Where somebody looks is no change to be taken back: that would be in the way of the decisions before it. */
    private Done move(SignedIn me, UUID commandId, String kind, String label, UnaryOperator<RoundState> moved) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, kind, changes -> {
            preferences.save(owner, NAME, json.writeValueAsString(moved.apply(of(owner))));
            changes.label(label).touch(topics());
        });
    }

    /** A decision about a line, which has its way back. */
    Done keep(SignedIn me, UUID commandId, String key, String name) {
        UUID owner = me.accountId();
        KeptLine line = new KeptLine(key);
        return commands.run(me, commandId, "round-kept", changes -> {
            underWay(of(owner));
            change(owner, line.id(), line, changes);
            changes.label("Stays as it is: " + name);
        });
    }

    private RoundState underWay(RoundState state) {
        if (!isUnderWay(state)) {
            throw Refusal.conflict("No round is under way. Begin one. Nothing was changed.");
        }
        return state;
    }

    @Override
    protected @Nullable KeptLine state(UUID owner, UUID id) {
        return store.line(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable KeptLine state) {
        store.delete(owner, id);
        if (state != null) {
            store.insert(owner, id, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.ROUND};
    }
}
