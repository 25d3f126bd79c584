package org.squallnote.server.correction;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.DecisionState;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;

/** Corrections of what was read, and the rules that come of them. */
@RestController
class CorrectionController {

    private final PartyRules rules;
    private final ReadAgain readAgain;
    private final WaysToAsk ways;
    private final Commands commands;

    CorrectionController(PartyRules rules, ReadAgain readAgain, WaysToAsk ways, Commands commands) {
        this.ways = ways;
        this.rules = rules;
        this.readAgain = readAgain;
        this.commands = commands;
    }

    /** A rule about everything from one address or list. */
    record RuleView(
            String party, @Nullable Asks asks, @Nullable Integer replyDays, boolean pastIntake) {

        static RuleView of(PartyRule rule) {
            return new RuleView(rule.party(), rule.asks(), rule.replyDays(), rule.pastIntake());
        }
    }

    record RuleChange(
            @NotBlank @Size(max = 320) String party,
            @Nullable Asks asks,
            @Nullable @Min(0) @Max(90) Integer replyDays,
            boolean pastIntake) {}

    /** Says whether a message asks me, for this one or for everything from its sender or list. */
    @PostMapping("/api/messages/{id}/asks")
    Done asks(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam Asks asks,
            @RequestParam boolean always) {
        StoredMessage message = readAgain.message(me.accountId(), id);
        if (always) {
            return rules.asks(me, commandId, message.party(), nameOf(message), asks);
        }
        Optional<Reason> misled = asks == Asks.NEVER ? ways.askedBy(message) : Optional.empty();
        return commands.run(me, commandId, "asks-corrected", changes -> {
            readAgain.correct(me.accountId(), id, asks);
            changes.record(
                            SubjectType.MESSAGE,
                            id,
                            DecisionState.of(message),
                            new DecisionState(message.decision(), message.decidedAt(), asks, message.putOffUntil()))
                    .label((asks == Asks.NEVER ? "Asks you nothing: " : "Asks you: ")
                            + message.from().displayName() + ", " + message.subject()
                            + misled.map(way -> "; it was read " + way.inWords())
                                    .orElse(""))
                    .touch(Topic.INTAKE, Topic.THREADS, Topic.READING);
        });
    }

    /** Remembers within how many working days replies to the sender or list of a message are due. */
    @PostMapping("/api/messages/{id}/reply-days")
    Done replyDays(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam @Min(0) @Max(90) int days) {
        StoredMessage message = readAgain.message(me.accountId(), id);
        return rules.replyDays(me, commandId, message.party(), nameOf(message), days);
    }

    private static String nameOf(StoredMessage message) {
        return message.listAddress() == null ? message.from().displayName() : message.listAddress();
    }

    @GetMapping("/api/party-rules")
    List<RuleView> all(@CurrentAccount SignedIn me) {
        return rules.all(me.accountId()).stream().map(RuleView::of).toList();
    }

    /** By which ways to ask messages were taken to ask that ask nothing, and which are taken for no ask any more. */
    @GetMapping("/api/ways-to-ask")
    List<WaysToAsk.Way> ways(@CurrentAccount SignedIn me) {
        return ways.of(me.accountId());
    }

    record WayChange(@NotBlank @Size(max = 200) String way, boolean heard) {}

    /** Takes a way to ask for no ask, or for one again. */
    @PutMapping("/api/ways-to-ask")
    Done hear(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody WayChange body) {
        return rules.hear(me, commandId, WaysToAsk.named(body.way()), body.heard());
    }

    /** Changes what a rule says; one that says nothing is gone. */
    @PutMapping("/api/party-rules")
    Done change(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody RuleChange body) {
        String party = body.party().strip().toLowerCase(Locale.ROOT);
        if (party.startsWith(PartyRule.WAY)) {
            throw Refusal.invalid("This is a way to ask and neither a sender nor a list. Nothing was changed.");
        }
        return rules.change(me, commandId, party, body.asks(), body.replyDays(), body.pastIntake());
    }
}
