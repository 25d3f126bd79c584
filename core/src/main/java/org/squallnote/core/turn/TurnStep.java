package org.squallnote.core.turn;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Debt.Reason;
import org.squallnote.core.turn.TurnState.Paused;

/** One message taken into the state of its thread; the numbers are those of docs/rules.md. */
final class TurnStep {

    private final Earlier earlier;
    private final List<TurnEvent> before;
    private final List<Debt> debts;
    private final List<Paused> paused;
    private final List<Awaited> awaited;
    private final List<Awaited> asking;
    private final List<Answered> answered;
    private final List<Given> given;
    private final Map<String, LocalDate> returns;
    private final TurnState state;
    private final OthersAnswers othersAnswers;
    private final Awaiting awaiting;
    private final InReturn inReturn;
    private final OvertakenAsks overtaken;

    TurnStep(Earlier earlier, TurnState state) {
        this.earlier = earlier;
        this.before = earlier.events();
        this.state = state;
        this.debts = new ArrayList<>(state.debts());
        this.paused = new ArrayList<>(state.paused());
        this.awaited = new ArrayList<>(state.awaited());
        this.asking = new ArrayList<>(state.asking());
        this.answered = new ArrayList<>(state.answered());
        this.given = new ArrayList<>(state.given());
        this.returns = new HashMap<>(state.returns());
        this.othersAnswers = new OthersAnswers(earlier, debts, awaited, asking);
        this.awaiting = new Awaiting(earlier, awaited, asking, returns);
        this.inReturn = new InReturn(earlier, paused, asking, awaiting);
        this.overtaken = new OvertakenAsks(earlier, debts, paused, awaited, asking);
    }

    TurnState after(TurnEvent event) {
        Facts facts = event.facts();
        if (event.reaction()) {
            reaction(event);
        } else if (event.direction() == Direction.OUTGOING) {
            if (facts.nature() == Nature.PERSON || facts.nature() == Nature.INVITATION) {
                outgoing(event);
            }
        } else {
            switch (facts.nature()) {
                case BULK -> {}
                case AUTO_REPLY -> facts.returnsOn().ifPresent(day -> away(event.from(), day));
                case BOUNCE -> bounce(event);
                default -> incoming(event);
            }
        }
        return TurnStateBuilder.builder()
                .debts(debts)
                .paused(paused)
                .awaited(awaited)
                .asking(asking)
                .answered(answered)
                .given(given)
                .returns(returns)
                .reopenedBy(state.reopenedBy())
                .decidedAt(state.decidedAt())
                .build();
    }

    private void away(Party party, LocalDate until) {
        returns.put(party.address(), until);
        awaited.replaceAll(one -> one.party().isSameAs(party) ? one.awayUntil(until) : one);
        asking.replaceAll(one -> one.party().isSameAs(party) ? one.awayUntil(until) : one);
    }

    /**
     * Incoming 7, outgoing 5: a reaction to my ask acknowledges it, one to somebody's answer in my place ends what I owed;
     * mine settles nothing but takes the answer of somebody else. One that was taken back is as if it had not been.
     */
    private void reaction(TurnEvent event) {
        if (event.takenBack().isPresent() || event.answers().isEmpty()) {
            return;
        }
        if (event.direction() == Direction.OUTGOING) {
            awaited.removeIf(one -> one.answered()
                    .filter(other -> event.answers().filter(other.in()::equals).isPresent())
                    .isPresent());
            return;
        }
        awaited.removeIf(one -> one.party().isSameAs(event.from())
                && event.answers().filter(one.messageId()::equals).isPresent());
        debts.removeIf(
                debt -> debt.to().isSameAs(event.from()) && debt.answeredIn().equals(event.answers()));
    }

    /** Incoming 2: those it names are not awaited any more, and the message has to go another way. */
    private void bounce(TurnEvent event) {
        awaited.removeIf(
                one -> event.facts().failedRecipients().contains(one.party().address()));
        asking.removeIf(
                one -> event.facts().failedRecipients().contains(one.party().address()));
        debts.add(debt(Reason.BOUNCED, event, Set.of()));
    }

    private void incoming(TurnEvent event) {
        Facts facts = event.facts();
        overtaken.bySpeaking(event);
        if (facts.withdraws() || overtaken.byWhoAsked(event)) {
            new TakenBack(earlier, debts, paused).by(event);
        }
        if (facts.arrived()) {
            // What I had promised them has reached them.
            debts.removeIf(debt -> debt.to().isSameAs(event.from())
                    && debt.promise()
                            .filter(promise -> Wanted.isOnItsWay(promise.words()))
                            .isPresent());
        }
        othersAnswers.inMyPlace(event);
        boolean instructs = facts.asksMe() && instructs(event);
        boolean wasAwaited = awaiting.has(event.from());
        if (!earlier.isNoAnswer(event)) {
            resumeAfterAnswer(event);
            othersAnswers.inTheirPlace(event);
            wasAwaited = answer(event);
        }
        if (!wasAwaited && facts.promises() && !awaiting.has(event.from()) && !isForAnother(event)) {
            awaited.add(new Awaited(
                    askedHouse(event).orElse(event.from()),
                    event.messageId(),
                    event.sentAt(),
                    facts.promisedBy(),
                    true,
                    facts.promised(),
                    false));
        }
        inReturn.theirs(event);
        if (facts.asksMe() && !instructs) {
            Reason reason = facts.nature() == Nature.INVITATION ? Reason.INVITED : Reason.ASKED;
            debts.add(debt(reason, event, facts.askedByName() ? facts.asked() : Set.of()));
        }
    }

    /** The shared mailbox that I wrote to and for which somebody writes: another of its readers may keep the promise. */
    private Optional<Party> askedHouse(TurnEvent event) {
        return earlier.recent().stream()
                .filter(one -> one.direction() == Direction.OUTGOING)
                .flatMap(one -> one.to().stream()
                        .filter(party -> SharedMailboxes.isShared(party.address(), one.throughList()))
                        .filter(party -> !party.isSameAs(event.from()))
                        .filter(party -> SharedMailboxes.areOfOneHouse(
                                party.address(), event.from().address())))
                .findFirst();
    }

    /** Tom answers what Will asked us both: what he promises there is for Will. */
    private boolean isForAnother(TurnEvent event) {
        if (Wanted.isToldToOthers(event.facts().promised())) {
            return true;
        }
        return event.channel() == Channel.MAIL
                && event.answers()
                        .flatMap(earlier::message)
                        .filter(one -> one.direction() == Direction.INCOMING
                                && one.facts().asksMe()
                                && !one.from().isSameAs(event.from())
                                && event.isAddressedTo(one.from().address()))
                        .isPresent();
    }

    /**
     * "How do I open it?" "Hold the green button"; "When shall we come?" "On Tuesday, please"; "Please contact the office":
     * tells me what to do, when or who knows since I wanted to know, and asks nothing.
     */
    private boolean instructs(TurnEvent event) {
        boolean instruction = Wanted.isInstruction(event.facts().what());
        boolean choice = Wanted.isChoice(event.facts().what());
        boolean elsewhere = Wanted.refersElsewhereOrOrders(event.facts().what());
        return (instruction || choice || elsewhere)
                && awaited.stream()
                        .filter(one -> one.isAnsweredBy(event))
                        .map(this::lastAskOf)
                        .anyMatch(ask -> elsewhere
                                || (instruction && (Wanted.asksWhatToDo(ask) || Wanted.asksForAnOpinion(ask)))
                                || (choice && Wanted.asksForAChoice(ask)));
    }

    private static Debt debt(Reason reason, TurnEvent event, Set<String> others) {
        Facts facts = event.facts();
        return DebtBuilder.builder()
                .reason(reason)
                .to(event.from())
                .messageId(event.messageId())
                .since(event.sentAt())
                .by(facts.askBy())
                .what(facts.what())
                .others(others)
                .openToAll(facts.openToAll())
                .build();
    }

    /** Outgoing 4: my question back is answered, so that I owe the first ask again, unless it has been settled. */
    private void resumeAfterAnswer(TurnEvent event) {
        Facts facts = event.facts();
        for (int i = paused.size() - 1; i >= 0; i--) {
            Paused rest = paused.get(i);
            boolean meant = rest.waitingFor().contains(event.from().address());
            boolean carried = !meant && facts.answersNow() && event.answersIt(rest.question());
            if (!(meant || carried) || (facts.holding() && !facts.asksMe())) {
                continue;
            }
            List<String> still = new ArrayList<>(rest.waitingFor());
            still.remove(event.from().address());
            if (!still.isEmpty() && !carried) {
                paused.set(i, new Paused(rest.debt(), still, rest.question()));
                continue;
            }
            paused.remove(i);
            if (carried) {
                awaited.removeIf(one -> one.messageId().equals(rest.question()));
            }
            boolean refused = facts.denies() && InReturn.isOne(rest);
            if (!refused && !facts.thanksOnly() && !facts.solved() && !facts.withdraws()) {
                Debt debt = rest.debt();
                debts.add(0, passesItOn(event, debt) ? debt.answeredInMyPlace(event) : debt);
            }
        }
    }

    /** Whom I asked for it gives it to the one who asked me. */
    private static boolean passesItOn(TurnEvent event, Debt debt) {
        return event.facts().answersNow()
                && !debt.to().isSameAs(event.from())
                && event.isAddressedTo(debt.to().address());
    }

    /** Incoming 4, 8 and 10. Answers whether the writer was awaited. */
    private boolean answer(TurnEvent event) {
        Facts facts = event.facts();
        boolean was = false;
        boolean open = false;
        for (int i = awaited.size() - 1; i >= 0; i--) {
            Awaited one = awaited.get(i);
            if (!one.isAnsweredBy(event)) {
                continue;
            }
            was = true;
            if (facts.questionBack() && facts.asksMe() && !isAnsweredByAProposal(one, event)) {
                awaited.remove(i);
                if (facts.answersLater()) {
                    awaited.add(i, one.promisedBy(event));
                } else {
                    asking.add(one);
                }
            } else if (isHandedOn(event)) {
                awaited.remove(i);
                awaited.addAll(i, handedOn(one, event));
            } else if (facts.putsOff(lastAskOf(one))) {
                awaited.set(i, one.promisedBy(event));
            } else if (earlier.wordOn(event).isPresent()) {
                awaited.set(i, one.stillMissing(earlier.wordOn(event).get().missing()));
            } else {
                awaited.remove(i);
                open |= one.openToAll() && !facts.denies();
                noteAnswer(one, event);
            }
        }
        if (open) {
            // Whoever said "I'll do it" is still to do it.
            awaited.removeIf(one -> one.openToAll() && !one.promised());
        }
        for (int i = asking.size() - 1; i >= 0; i--) {
            boolean answered = asking.get(i).isAnsweredBy(event) && !facts.questionBack() && !was;
            if (answered) {
                asking.remove(i);
            }
        }
        return was;
    }

    /** "Where?" "The blue door, half past twelve?"; "Shall I put you down for nine?" "Nine is early, ten?" */
    private boolean isAnsweredByAProposal(Awaited one, TurnEvent event) {
        String ask = lastAskOf(one);
        return event.facts().proposes() && (Wanted.asksForAChoice(ask) || Wanted.isAboutAPlan(ask));
    }

    /** What I have asked somebody last: what they write next is about that. */
    private String lastAskOf(Awaited one) {
        for (int i = before.size() - 1; i >= 0; i--) {
            TurnEvent message = before.get(i);
            boolean asked = message.direction() == Direction.OUTGOING
                    && message.facts().asked().contains(one.party().address())
                    && !Wanted.reminds(message.facts().asked(one.party()));
            if (asked || message.messageId().equals(one.messageId())) {
                return asked ? message.facts().asked(one.party()) : one.what();
            }
        }
        return one.what();
    }

    private static boolean isHandedOn(TurnEvent event) {
        Set<String> to = event.facts().handsTo();
        return !to.isEmpty() && !to.contains(event.from().address());
    }

    /** Those who will answer, as somebody says who was asked, where they are not awaited already. */
    private List<Awaited> handedOn(Awaited one, TurnEvent event) {
        return event.facts().handsTo().stream()
                .sorted()
                .map(address -> earlier.partyOf(address, event))
                .filter(party -> !awaiting.has(party))
                .map(party -> one.handedTo(party, event))
                .toList();
    }

    /** How long somebody took who was asked; what they promised unasked says nothing of that. */
    private void noteAnswer(Awaited one, TurnEvent event) {
        boolean asked = earlier.message(one.messageId())
                .filter(message -> message.direction() == Direction.OUTGOING)
                .isPresent();
        if (asked) {
            answered.add(new Answered(one.party().address(), one.messageId(), one.since(), event.sentAt()));
            given.add(new Given(one.party(), one.messageId(), one.what(), event.messageId()));
        }
    }

    private void outgoing(TurnEvent event) {
        Facts facts = event.facts();
        if (event.reminder()) {
            // It asks nothing anew: whoever has answered meanwhile, though I had not seen it, owes nothing.
            awaited.replaceAll(one -> isReminded(event, one) ? one.writtenTo(event.sentAt(), true) : one);
            return;
        }
        overtaken.bySpeaking(event);
        overtaken.byMe(event);
        if (facts.withdraws()) {
            awaited.removeIf(one -> event.isAddressedTo(one.party().address()));
            asking.removeIf(one -> event.isAddressedTo(one.party().address()));
        }
        debts.removeIf(debt -> debt.reason() == Reason.BOUNCED);
        takeAnswerOfAnother(event);
        awaited.replaceAll(one -> event.isAddressedTo(one.party().address())
                ? one.writtenTo(
                        event.sentAt(), facts.asked().contains(one.party().address()))
                : one);
        boolean onlyAnswers = onlyAnswers(event);
        if (!facts.thanksOnly()) {
            answerDebts(event);
            if (!facts.holding()) {
                asking.stream()
                        .filter(one -> event.isAddressedTo(one.party().address()))
                        .filter(one -> facts.fulfils() || !inReturn.isOne(one))
                        .map(one -> one.writtenTo(event.sentAt(), false))
                        .forEach(awaited::add);
                asking.removeIf(one -> event.isAddressedTo(one.party().address()));
            }
        }
        if (!onlyAnswers) {
            awaiting.ask(event);
        }
        inReturn.mine(event, lastOther());
    }

    /**
     * "That isn't ours; please write to its chairman", "Friday, please", "one for me, please", "hold the green button" where
     * they asked how: an answer to who asked me, of whom nothing is wanted.
     */
    private boolean onlyAnswers(TurnEvent event) {
        if (debts.isEmpty()) {
            return false;
        }
        boolean elsewhere = Wanted.refersElsewhereOrOrders(event.facts().what());
        boolean choice = Wanted.isChoice(event.facts().what());
        boolean saysHow =
                event.facts().askBy().isEmpty() && Wanted.saysHow(event.facts().what());
        return (elsewhere || choice || saysHow)
                && debts.stream()
                        .filter(debt -> event.isAddressedTo(debt.to().address())
                                && asksOnly(event.facts(), debt.to().address()))
                        .anyMatch(debt -> elsewhere
                                || (choice && Wanted.asksWhichOf(debt.what()))
                                || (saysHow && Wanted.asksHow(debt.what())));
    }

    /** Whether nobody else is asked by name. */
    private static boolean asksOnly(Facts facts, String address) {
        return facts.askedByName()
                ? facts.asked().equals(Set.of(address))
                : facts.asked().contains(address) || facts.asksNobodyByName();
    }

    /** In a room everybody reads it, and only those are reminded whom it is meant for. */
    private static boolean isReminded(TurnEvent event, Awaited one) {
        return event.channel() == Channel.CHAT
                ? event.to().stream().anyMatch(one.party()::isSameAs)
                : event.isAddressedTo(one.party().address());
    }

    /** What somebody else has answered is taken with thanks, or by going on without asking again. */
    private void takeAnswerOfAnother(TurnEvent event) {
        awaited.removeIf(one -> one.answered()
                        .filter(other -> event.isAddressedTo(other.by().address()))
                        .isPresent()
                && event.facts().asked().isEmpty());
    }

    /** Outgoing 1 and 4. */
    private void answerDebts(TurnEvent event) {
        Facts facts = event.facts();
        boolean asksBack =
                facts.questionBack() && !facts.answersLater() && !facts.asked().isEmpty();
        boolean owed = false;
        for (int i = debts.size() - 1; i >= 0; i--) {
            Debt debt = debts.get(i);
            if (!event.isAddressedTo(debt.to().address())
                    && !goesToTheSameList(event, debt)
                    && !goesToTheirMailbox(event, debt)) {
                continue;
            }
            owed = true;
            if (asksBack && (facts.proposes() || facts.opensWithYes()) && Wanted.isAboutAPlan(debt.what())) {
                // "Are we still on for tonight?" "Can we do tomorrow instead?"; "May we stay?" "Of course! When?"
                debts.remove(i);
            } else if (asksBack || needsSomethingFirst(facts, debt)) {
                debts.remove(i);
                paused.add(new Paused(debt, List.copyOf(facts.asked()), event.messageId()));
            } else if (facts.putsOff(debt.what())) {
                debts.set(i, debt.promised(event));
            } else {
                debts.remove(i);
            }
        }
        if (facts.promises() && !owed && !Wanted.isToldToOthers(facts.promised())) {
            Party to = event.to().stream().findFirst().or(() -> lastOther()).orElse(event.from());
            debts.add(Debt.ofPromise(event, to, facts.promised(), facts.promisedBy()));
        }
    }

    /** "Could you chair?" "Sure, send me the agenda": what was asked is still to be done. */
    private static boolean needsSomethingFirst(Facts facts, Debt debt) {
        return facts.opensWithYes()
                && facts.asked().contains(debt.to().address())
                && !facts.fulfils()
                && Wanted.isNeededFirst(facts.what())
                && Wanted.isToBeDone(debt.what());
    }

    /** What was asked on a list is answered on it, though the asker is not among the recipients. */
    private boolean goesToTheSameList(TurnEvent event, Debt debt) {
        return earlier.message(debt.messageId())
                .filter(asked -> asked.to().stream()
                        .filter(party -> SharedMailboxes.isShared(party.address(), asked.throughList()))
                        .anyMatch(party -> event.isAddressedTo(party.address())))
                .isPresent();
    }

    /** What somebody asked who reads a shared mailbox is answered there, whoever reads it next. */
    private static boolean goesToTheirMailbox(TurnEvent event, Debt debt) {
        return event.to().stream()
                .filter(party -> SharedMailboxes.isShared(party.address(), false))
                .anyMatch(party ->
                        SharedMailboxes.areOfOneHouse(party.address(), debt.to().address()));
    }

    private Optional<Party> lastOther() {
        for (int i = before.size() - 1; i >= 0; i--) {
            if (before.get(i).direction() == Direction.INCOMING) {
                return Optional.of(before.get(i).from());
            }
        }
        return Optional.empty();
    }
}
