package org.squallnote.server.correction;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Asks;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.settings.SettingsStore;
import tools.jackson.databind.json.JsonMapper;

/** Rules about everything from one sender or list. */
@Component
public class PartyRules implements Restorer {

    private final SettingsStore store;
    private final ReadAgain readAgain;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    PartyRules(SettingsStore store, ReadAgain readAgain, Commands commands, Clock clock, JsonMapper json) {
        this.store = store;
        this.readAgain = readAgain;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /** A rule as it stands in the history. */
    record RuleState(
            String party, @Nullable Asks asks, @Nullable Integer replyDays, boolean pastIntake) {

        String inWords() {
            String asking = asks == null ? "" : asks == Asks.NEVER ? "never asks you" : "always asks you";
            String days = replyDays == null ? "" : "replies within " + replyDays + " working days";
            String past = pastIntake ? "goes past Intake" : "";
            String all = Stream.of(asking, days, past)
                    .filter(part -> !part.isEmpty())
                    .collect(Collectors.joining(", "));
            return all.isEmpty() ? "nothing special any more" : all;
        }

        boolean saysNothing() {
            return asks == null && replyDays == null && !pastIntake;
        }
    }

    /** Those about senders, lists and subjects. */
    List<PartyRule> all(UUID owner) {
        return store.rules(owner).stream()
                .filter(rule -> !rule.party().startsWith(PartyRule.WAY))
                .toList();
    }

    /** Says whether what is asked in some way is an ask for me. */
    Done hear(SignedIn me, UUID commandId, Reason way, boolean heard) {
        RuleState rule = new RuleState(PartyRule.WAY + way.rule(), heard ? null : Asks.NEVER, null, false);
        return change(me, commandId, rule, (heard ? "An ask again, " : "No ask for you any more, ") + way.inWords());
    }

    /** Says whether everything from there asks me. */
    Done asks(SignedIn me, UUID commandId, String party, String name, Asks asks) {
        RuleState before = state(me.accountId(), party);
        return change(
                me,
                commandId,
                new RuleState(party, asks, before.replyDays(), before.pastIntake()),
                (asks == Asks.NEVER ? "Never asks you: everything from " : "Always asks you: everything from ") + name);
    }

    /** Says within how many working days replies are due. */
    Done replyDays(SignedIn me, UUID commandId, String party, String name, int days) {
        RuleState before = state(me.accountId(), party);
        return change(
                me,
                commandId,
                new RuleState(party, before.asks(), days, before.pastIntake()),
                "Replies to " + name + ": within " + days + (days == 1 ? " working day" : " working days"));
    }

    /** Says anew what holds for a party; nothing takes the rule away. */
    Done change(
            SignedIn me,
            UUID commandId,
            String party,
            @Nullable Asks asks,
            @Nullable Integer replyDays,
            boolean pastIntake) {
        RuleState rule = new RuleState(party, asks, replyDays, pastIntake);
        return change(me, commandId, rule, "What holds for " + party + ": " + rule.inWords());
    }

    private Done change(SignedIn me, UUID commandId, RuleState rule, String label) {
        return commands.run(me, commandId, "party-rule", changes -> {
            save(me.accountId(), rule, changes);
            changes.label(label);
        });
    }

    /** Has everything from there go past Intake from now on, as part of a command. */
    public void letPast(UUID owner, String party, Changes changes) {
        RuleState before = state(owner, party);
        save(owner, new RuleState(party, before.asks(), before.replyDays(), true), changes);
    }

    private void save(UUID owner, RuleState rule, Changes changes) {
        if (rule.party().isBlank()) {
            throw Refusal.invalid(
                    "This message does not say who wrote it, so nothing can be remembered for them. Decide it by itself.");
        }
        RuleState before = state(owner, rule.party());
        write(owner, rule);
        changes.record(SubjectType.PARTY_RULE, idOf(owner, rule.party()), before, state(owner, rule.party()))
                .touch(Topic.INTAKE, Topic.THREADS, Topic.READING);
    }

    private void write(UUID owner, RuleState rule) {
        Optional<Asks> before = Optional.ofNullable(state(owner, rule.party()).asks());
        if (rule.saysNothing()) {
            store.deleteRule(owner, rule.party());
        } else {
            store.saveRule(
                    owner,
                    new PartyRule(rule.party(), rule.asks(), rule.replyDays(), rule.pastIntake(), clock.instant()));
        }
        if (!before.equals(Optional.ofNullable(rule.asks()))) {
            readAgain.party(owner, rule.party());
        }
    }

    private RuleState state(UUID owner, String party) {
        return store.rule(owner, party)
                .map(rule -> new RuleState(party, rule.asks(), rule.replyDays(), rule.pastIntake()))
                .orElse(new RuleState(party, null, null, false));
    }

    private static UUID idOf(UUID owner, String party) {
        return UUID.nameUUIDFromBytes((owner + party).getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public SubjectType type() {
        return SubjectType.PARTY_RULE;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        String kept = entry.after() == null ? entry.before() : entry.after();
        return kept == null
                ? null
                : state(owner, json.readValue(kept, RuleState.class).party());
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        if (entry.before() != null) {
            write(owner, json.readValue(entry.before(), RuleState.class));
            changes.touch(Topic.INTAKE, Topic.THREADS, Topic.READING);
        }
    }
}
