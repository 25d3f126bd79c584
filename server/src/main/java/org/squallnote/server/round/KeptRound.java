package org.squallnote.server.round;

import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.round.RoundState;
import org.squallnote.core.round.RoundStep;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.preference.KeptPreference;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** How far a walk has come; kept so that it can be left at any step. */
@Component
class KeptRound extends KeptPreference<RoundState> {

    private final Commands commands;
    private final Clock clock;

    KeptRound(PreferenceStore store, Commands commands, Clock clock, JsonMapper json) {
        super(SubjectType.ROUND, "round", RoundState.class, RoundState.NONE, store, commands, json);
        this.commands = commands;
        this.clock = clock;
    }

    Done begin(SignedIn me, UUID commandId) {
        return move(me, commandId, "round-begun", "The round begins", state -> state.begun(clock.instant()));
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

    /** A decision about a line, which has its way back. */
    Done keep(SignedIn me, UUID commandId, String key, String name) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "round-kept", changes -> {
            change(owner, owner, underWay(of(owner)).keeping(key), changes);
            changes.label("Stays as it is: " + name);
        });
    }

    /** Where somebody looks is no change to be taken back: that would be in the way of the decisions before it. */
    private Done move(SignedIn me, UUID commandId, String kind, String label, UnaryOperator<RoundState> moved) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, kind, changes -> {
            write(owner, owner, moved.apply(of(owner)));
            changes.label(label).touch(topics());
        });
    }

    private RoundState underWay(RoundState state) {
        if (!state.underWay(clock.instant())) {
            throw Refusal.conflict("No round is under way. Begin one. Nothing was changed.");
        }
        return state;
    }

    Instant now() {
        return clock.instant();
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.ROUND};
    }
}
