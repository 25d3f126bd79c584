package org.squallnote.server.bulk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Content;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.bulk.BulkController.BulkDecision;
import org.squallnote.server.bulk.BulkController.BulkPreview;
import org.squallnote.server.bulk.BulkController.BulkRequest;
import org.squallnote.server.bulk.BulkController.HandOverTo;
import org.squallnote.server.bulk.BulkController.PreviewLine;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.handover.HandOvers;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.message.Proposals;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.message.MessageStore;

/** Decides several messages in one command. Those that another window has decided meanwhile are left as they are. */
@Component
class BulkDecisions {

    private final MessageStore messages;
    private final Decisions decisions;
    private final FollowUps followUps;
    private final HandOvers handOvers;
    private final Proposals proposals;
    private final AccountReaders readers;
    private final Readings readings;
    private final Commands commands;
    private final UuidV7 ids;

    BulkDecisions(
            MessageStore messages,
            Decisions decisions,
            FollowUps followUps,
            HandOvers handOvers,
            Proposals proposals,
            AccountReaders readers,
            Readings readings,
            Commands commands,
            UuidV7 ids) {
        this.messages = messages;
        this.decisions = decisions;
        this.followUps = followUps;
        this.handOvers = handOvers;
        this.proposals = proposals;
        this.readers = readers;
        this.readings = readings;
        this.commands = commands;
        this.ids = ids;
    }

    Done decide(SignedIn me, UUID commandId, BulkRequest request) {
        LocalDate day = request.day();
        if (request.decision() == BulkDecision.PUT_OFF && day == null) {
            throw Refusal.invalid("Say until which day the messages are put off. Nothing was changed.");
        }
        return commands.run(me, commandId, "several", changes -> {
            followUps.checkCategory(me, request.categoryId());
            List<StoredMessage> open = undecided(me, request);
            if (open.isEmpty()) {
                throw Refusal.conflict("All of them were decided in another window already. Nothing was changed.");
            }
            switch (request.decision()) {
                case NOTHING ->
                    open.forEach(message -> decisions.decide(me, message, Decision.NOTHING, false, changes));
                case PUT_OFF -> {
                    if (day != null) {
                        open.forEach(message -> decisions.putOff(me, message, day, changes));
                    }
                }
                case HAND_OVER -> handOver(me, request, open, changes);
                case FOLLOW_UP -> followUp(me, request, open, changes);
            }
            int missed = missed(request, open);
            changes.label(verb(request.decision())
                    + count(open.size())
                    + (missed > 0 ? "; " + count(missed) + " decided already" : ""));
        });
    }

    private static String verb(BulkDecision decision) {
        return switch (decision) {
            case NOTHING -> "Nothing to do: ";
            case PUT_OFF -> "Put off: ";
            case FOLLOW_UP -> "Followed up: ";
            case HAND_OVER -> "Handed over: ";
        };
    }

    private static String count(int messages) {
        return messages == 1 ? "1 message" : messages + " messages";
    }

    private static int missed(BulkRequest request, List<StoredMessage> open) {
        return (int) request.messageIds().stream().distinct().count() - open.size();
    }

    BulkPreview preview(SignedIn me, BulkRequest request) {
        List<StoredMessage> open = undecided(me, request);
        List<PreviewLine> lines = request.decision() == BulkDecision.FOLLOW_UP
                ? followUpLines(me, request, open)
                : open.stream()
                        .map(message -> new PreviewLine(
                                message.id(), message.from().displayName(), message.subject(), null, null, false, null))
                        .toList();
        return new BulkPreview(lines, missed(request, open));
    }

    private List<PreviewLine> followUpLines(SignedIn me, BulkRequest request, List<StoredMessage> open) {
        AccountReader reader = readers.of(me.accountId());
        Proposals.Proposer proposer = proposals.of(me, reader);
        List<PreviewLine> lines = new ArrayList<>();
        for (StoredMessage message : open) {
            Content content = content(request, message, proposer, reader);
            lines.add(new PreviewLine(
                    message.id(),
                    message.from().displayName(),
                    content.title(),
                    content.replyDay(),
                    content.replyTime(),
                    content.firm(),
                    content.categoryId()));
        }
        return lines;
    }

    private void handOver(SignedIn me, BulkRequest request, List<StoredMessage> open, Changes changes) {
        HandOverTo to = request.handOver();
        if (to == null) {
            throw Refusal.invalid("Say to whom the messages are handed over. Nothing was changed.");
        }
        for (StoredMessage message : open) {
            handOvers.handOverWithin(me, message.id(), new Party(to.name(), to.address()), to.text(), null, changes);
        }
    }

    private void followUp(SignedIn me, BulkRequest request, List<StoredMessage> open, Changes changes) {
        AccountReader reader = readers.of(me.accountId());
        Proposals.Proposer proposer = proposals.of(me, reader);
        for (StoredMessage message : open) {
            Content content = content(request, message, proposer, reader);
            followUps.makeWithin(me, ids.next(), message, content, changes);
        }
    }

    private Content content(
            BulkRequest request, StoredMessage message, Proposals.Proposer proposer, AccountReader reader) {
        Proposals.Proposal proposal = proposer.of(message, readings.readForProposal(reader, message));
        boolean ownDay = request.day() == null;
        return new Content(
                proposal.title(),
                Optional.ofNullable(request.day()).orElse(proposal.replyBy()),
                ownDay ? proposal.replyTime() : null,
                ownDay && proposal.firm(),
                request.categoryId() == null ? proposal.categoryId() : request.categoryId(),
                proposal.effortMinutes(),
                proposal.priority(),
                proposal.forReply(),
                Content.Details.of(proposal.people()));
    }

    private List<StoredMessage> undecided(SignedIn me, BulkRequest request) {
        Map<UUID, StoredMessage> byId = new HashMap<>();
        messages.byIds(me.accountId(), request.messageIds()).forEach(message -> byId.put(message.id(), message));
        List<StoredMessage> found = new ArrayList<>();
        for (UUID id : new LinkedHashSet<>(request.messageIds())) {
            StoredMessage message = Optional.ofNullable(byId.get(id)).orElseThrow(() -> Refusal.notFound("message"));
            if (!Decisions.isDecided(message)) {
                found.add(message);
            }
        }
        return found;
    }
}
