package org.squallnote.core.turn;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Debt.Reason;
import org.squallnote.core.turn.TurnState.Paused;

/** One message taken into the state of its thread; the numbers are those of docs/rules.md. */
final class TurnStep {

    private static final int SHORTEST_TELLING_WORD = 4;

    /** Thanks in a room and promises for a mailbox are about one of so many messages before. */
    private static final int FARTHEST_ANSWER = 50;

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
        if (facts.withdraws()) {
            withdraw(event);
        }
        if (facts.arrived()) {
            // What I had promised them has reached them.
            debts.removeIf(debt -> debt.promise().isPresent() && debt.to().isSameAs(event.from()));
        }
        answerInMyPlace(event);
        boolean instructs = facts.asksMe() && instructs(event);
        boolean wasAwaited = isAwaited(event.from());
        if (!earlier.isNoAnswer(event)) {
            resumeAfterAnswer(event);
            answerInTheirPlace(event);
            wasAwaited = answer(event);
        }
        if (!wasAwaited && facts.promises() && !isAwaited(event.from()) && !isForAnother(event)) {
            awaited.add(new Awaited(
                    askedHouse(event).orElse(event.from()),
                    event.messageId(),
                    event.sentAt(),
                    facts.promisedBy(),
                    true,
                    facts.promised(),
                    false));
        }
        if (facts.asksMe() && !instructs) {
            Reason reason = facts.nature() == Nature.INVITATION ? Reason.INVITED : Reason.ASKED;
            debts.add(debt(reason, event, facts.askedByName() ? facts.asked() : Set.of()));
        }
    }

    /** The shared mailbox that I wrote to and for which somebody writes: another of its readers may keep the promise. */
    private Optional<Party> askedHouse(TurnEvent event) {
        return before.subList(Math.max(0, before.size() - FARTHEST_ANSWER), before.size()).stream()
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
     * "How do I open it?" "Hold the green button"; "When shall we come?" "On Tuesday, please": tells me what to do or when
     * since I wanted to know, and asks nothing.
     */
    private boolean instructs(TurnEvent event) {
        boolean instruction = Wanted.isInstruction(event.facts().what());
        boolean choice = Wanted.isChoice(event.facts().what());
        return (instruction || choice)
                && awaited.stream()
                        .filter(one -> isAnsweredBy(one, event))
                        .map(this::lastAskOf)
                        .anyMatch(ask ->
                                (instruction && Wanted.asksWhatToDo(ask)) || (choice && Wanted.asksForAChoice(ask)));
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

    private boolean isAwaited(Party party) {
        return awaited.stream().anyMatch(one -> one.party().isSameAs(party))
                || asking.stream().anyMatch(one -> one.party().isSameAs(party));
    }

    /** Incoming 6: what they asked, and my promise about it; "my last message" only what that one asked. */
    private void withdraw(TurnEvent event) {
        Facts facts = event.facts();
        Set<UUID> theirs = new HashSet<>();
        for (Debt debt : debts) {
            if (debt.to().isSameAs(event.from()) && debt.reason() != Reason.BOUNCED) {
                theirs.add(debt.messageId());
            }
        }
        UUID last = theirs.stream()
                .flatMap(id -> earlier.message(id).stream())
                .filter(one -> one.from().isSameAs(event.from()))
                .max(TurnEvent.IN_SENT_ORDER)
                .map(TurnEvent::messageId)
                .orElse(event.messageId());
        Set<UUID> meant = new HashSet<>(theirs);
        if (facts.withdrawsLastOnly() && theirs.contains(last)) {
            meant.retainAll(Set.of(last));
        } else {
            Set<UUID> named = mentioned(theirs, facts.withdrawsAbout());
            if (!named.isEmpty()) {
                meant = named;
            }
        }
        Set<UUID> gone = meant;
        boolean all = gone.containsAll(theirs);
        debts.removeIf(debt -> debt.to().isSameAs(event.from())
                && debt.reason() != Reason.BOUNCED
                && (gone.contains(debt.messageId()) || all));
        paused.removeIf(rest -> rest.debt().to().isSameAs(event.from()));
    }

    private Set<UUID> mentioned(Set<UUID> ids, String about) {
        Set<String> words = tellingWords(about);
        Set<UUID> named = new HashSet<>();
        for (Debt debt : debts) {
            if (ids.contains(debt.messageId())
                    && tellingWords(debt.what()).stream().anyMatch(words::contains)) {
                named.add(debt.messageId());
            }
        }
        return named;
    }

    private static Set<String> tellingWords(String text) {
        Set<String> words = new HashSet<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
            if (word.length() >= SHORTEST_TELLING_WORD) {
                words.add(word);
            }
        }
        words.removeAll(Set.of(
                "could",
                "would",
                "please",
                "that",
                "this",
                "what",
                "with",
                "your",
                "have",
                "send",
                "from",
                "about",
                "message",
                "just",
                "asked",
                "need",
                "needed",
                "longer",
                "forward",
                "forwarded"));
        return words;
    }

    /** Incoming 9 and 10: somebody else answers the one who asked me; that one's thanks end what I owe. */
    private void answerInMyPlace(TurnEvent event) {
        Facts facts = event.facts();
        for (int i = debts.size() - 1; i >= 0; i--) {
            Debt debt = debts.get(i);
            if (debt.reason() != Reason.ASKED && debt.reason() != Reason.PROMISED) {
                continue;
            }
            if (debt.to().isSameAs(event.from())) {
                if (facts.acknowledges() && (isThanksForAnother(event, debt) || isAnsweredInTheRoom(event, debt))) {
                    debts.remove(i);
                }
            } else if (event.isAddressedTo(debt.to().address())
                    && (!debt.others().contains(event.from().address()) || Wanted.isToldByAnyone(debt.what()))) {
                answeredByAnother(i, event);
            }
        }
    }

    private void answeredByAnother(int at, TurnEvent event) {
        Debt debt = debts.get(at);
        Facts facts = event.facts();
        boolean answers = saysSomething(facts) && !facts.putsOff(debt.what());
        // "Who of you will meet them?" "I will."
        boolean takesItOver = !facts.answersLater()
                && (facts.promises() || facts.holding())
                && earlier.message(debt.messageId())
                        .filter(ask -> ask.isAddressedTo(event.from().address()))
                        .isPresent();
        if (debt.openToAll() || isAskedOfAHouse(debt, event)) {
            if (answers || (saysSomething(facts) && facts.promises())) {
                debts.remove(at);
            }
        } else if ((answers || takesItOver) && answersItOrWhatFollowed(event, debt)) {
            if (asking.stream().anyMatch(one -> one.party().isSameAs(debt.to()))) {
                // What they asked back is answered, whoever did: they are awaited for the first ask again.
                debts.remove(at);
                askAgain(debt.to());
            } else {
                debts.set(at, debt.answeredInMyPlace(event));
            }
        }
    }

    private void askAgain(Party party) {
        asking.stream().filter(one -> one.party().isSameAs(party)).forEach(awaited::add);
        asking.removeIf(one -> one.party().isSameAs(party));
    }

    /**
     * Whether it was asked of a list or a shared mailbox, mine too, and the writer speaks for that. On a list nobody may be
     * named; a letter to a shared mailbox greets it as it likes.
     */
    private boolean isAskedOfAHouse(Debt debt, TurnEvent event) {
        return earlier.message(debt.messageId())
                .filter(asked -> !asked.throughList() || debt.others().isEmpty())
                .filter(asked -> asked.throughList()
                        || asked.to().stream().allMatch(party -> SharedMailboxes.isShared(party.address(), false)))
                .filter(asked -> asked.to().stream()
                        .filter(party -> SharedMailboxes.isShared(party.address(), asked.throughList()))
                        .anyMatch(party -> SharedMailboxes.speaksFor(event, party.address())))
                .isPresent();
    }

    /** Thanks in a mail after somebody else's answer, unless they are for what I wrote myself. */
    private boolean isThanksForAnother(TurnEvent thanks, Debt debt) {
        if (debt.answeredIn().isEmpty()) {
            return false;
        }
        boolean forMine = thanks.answers()
                .flatMap(earlier::message)
                .filter(answered -> answered.direction() == Direction.OUTGOING)
                .isPresent();
        return !forMine && thanks.answers().filter(debt.messageId()::equals).isEmpty();
    }

    /** Somebody else answers what I asked; the one asked is awaited until I take that. */
    private void answerInTheirPlace(TurnEvent event) {
        Facts facts = event.facts();
        if (!saysSomething(facts)) {
            return;
        }
        for (int i = 0; i < awaited.size(); i++) {
            Awaited one = awaited.get(i);
            // Of several who were asked each answers for themselves.
            boolean another =
                    !one.promised() && !isAnsweredBy(one, event) && !earlier.isAsked(event.from(), one.messageId());
            boolean says = facts.fulfils() || !Wanted.isToBeDone(one.what());
            boolean meant = answersIt(event, one.messageId()) || answersWhatFollowed(event, one);
            if (another && says && !facts.putsOff(one.what()) && meant) {
                awaited.set(i, one.answeredByAnother(event));
            }
        }
    }

    /** In a room, somebody else has written an answer since, and the thanks name no other message. */
    private boolean isAnsweredInTheRoom(TurnEvent thanks, Debt debt) {
        if (thanks.channel() != Channel.CHAT || thanks.answers().isPresent()) {
            return false;
        }
        for (int i = before.size() - 1; i >= Math.max(0, before.size() - FARTHEST_ANSWER); i--) {
            TurnEvent one = before.get(i);
            if (one.messageId().equals(debt.messageId())) {
                return false;
            }
            if (one.direction() == Direction.OUTGOING && one.facts().putsOff(debt.what())) {
                return false; // They thank me for what I promised.
            }
            boolean byAnother = one.direction() == Direction.INCOMING
                    && !one.reaction()
                    && !one.from().isSameAs(thanks.from());
            if (byAnother && answersNow(one.facts())) {
                return true;
            }
        }
        return false;
    }

    private static boolean saysSomething(Facts facts) {
        return !facts.thanksOnly()
                && !facts.questionBack()
                && facts.nature() == Nature.PERSON
                && facts.asked().isEmpty();
    }

    private static boolean answersNow(Facts facts) {
        return saysSomething(facts) && !facts.holding() && !facts.promises();
    }

    /** In a mail of the thread; in a room only where it says that it answers that message. */
    private static boolean answersIt(TurnEvent event, UUID ask) {
        return event.answers().filter(ask::equals).isPresent()
                || (event.channel() == Channel.MAIL && event.answers().isEmpty());
    }

    /** A mail that answers the ask, or what the asker and I have written to each other since without asking others. */
    private boolean answersItOrWhatFollowed(TurnEvent event, Debt debt) {
        return answersIt(event, debt.messageId())
                || (event.channel() == Channel.MAIL
                        && event.answers()
                                .flatMap(earlier::message)
                                .filter(one -> !one.sentAt().isBefore(debt.since()))
                                .filter(one -> isBetweenUs(one, debt.to()))
                                .isPresent());
    }

    private static boolean isBetweenUs(TurnEvent event, Party other) {
        return event.direction() == Direction.OUTGOING
                ? event.isAddressedTo(other.address())
                : event.from().isSameAs(other) && event.facts().asked().isEmpty();
    }

    /** A mail that answers what I wrote later about the same ask: a reminder, or a mail to the one asked. */
    private boolean answersWhatFollowed(TurnEvent event, Awaited one) {
        return event.channel() == Channel.MAIL
                && event.answers()
                        .flatMap(earlier::message)
                        .filter(mine -> mine.direction() == Direction.OUTGOING
                                && !mine.sentAt().isBefore(one.since()))
                        .filter(mine -> mine.reminder()
                                || tellsWhatTheyAskedFor(mine, event.from(), one)
                                || (mine.isAddressedTo(one.party().address())
                                        && !mine.facts()
                                                .asked()
                                                .contains(event.from().address())))
                        .isPresent();
    }

    /** Somebody else than the one asked wanted to know more before they answer: what I told them is about the same ask. */
    private boolean tellsWhatTheyAskedFor(TurnEvent mine, Party other, Awaited one) {
        return mine.facts().asked().isEmpty()
                && mine.answers()
                        .flatMap(earlier::message)
                        .filter(theirs -> theirs.from().isSameAs(other) && answersIt(theirs, one.messageId()))
                        .isPresent();
    }

    /** Outgoing 4: my question back is answered, so that I owe the first ask again, unless it has been settled. */
    private void resumeAfterAnswer(TurnEvent event) {
        Facts facts = event.facts();
        for (int i = paused.size() - 1; i >= 0; i--) {
            Paused rest = paused.get(i);
            boolean meant = rest.waitingFor().contains(event.from().address());
            boolean carried = !meant && answersNow(facts) && answersIt(event, rest.question());
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
            if (!facts.thanksOnly() && !facts.solved() && !facts.withdraws()) {
                Debt debt = rest.debt();
                debts.add(0, passesItOn(event, debt) ? debt.answeredInMyPlace(event) : debt);
            }
        }
    }

    /** Whom I asked for it gives it to the one who asked me. */
    private static boolean passesItOn(TurnEvent event, Debt debt) {
        return answersNow(event.facts())
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
            if (!isAnsweredBy(one, event)) {
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
            boolean answered = isAnsweredBy(asking.get(i), event) && !facts.questionBack() && !was;
            if (answered) {
                asking.remove(i);
            }
        }
        return was;
    }

    /** "Where?" "The blue door, half past twelve?" */
    private boolean isAnsweredByAProposal(Awaited one, TurnEvent event) {
        return event.facts().proposes() && Wanted.asksForAChoice(lastAskOf(one));
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
                .map(address -> partyOf(address, event))
                .filter(party -> !isAwaited(party))
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

    private boolean isAnsweredBy(Awaited one, TurnEvent event) {
        if (one.party().isSameAs(event.from())) {
            return true;
        }
        return SharedMailboxes.isShared(one.party().address(), event.throughList())
                && SharedMailboxes.speaksFor(event, one.party().address())
                && !event.facts().thanksOnly();
    }

    private void outgoing(TurnEvent event) {
        Facts facts = event.facts();
        if (event.reminder()) {
            // It asks nothing anew: whoever has answered meanwhile, though I had not seen it, owes nothing.
            awaited.replaceAll(one -> isReminded(event, one) ? one.writtenTo(event.sentAt(), true) : one);
            return;
        }
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
                        .map(one -> one.writtenTo(event.sentAt(), false))
                        .forEach(awaited::add);
                asking.removeIf(one -> event.isAddressedTo(one.party().address()));
            }
        }
        if (!onlyAnswers) {
            ask(event);
        }
    }

    /**
     * "That isn't ours; please write to its chairman", "Friday, please": an answer to who asked me, of whom nothing is
     * wanted.
     */
    private boolean onlyAnswers(TurnEvent event) {
        boolean elsewhere = Wanted.refersElsewhere(event.facts().what());
        boolean choice = Wanted.isChoice(event.facts().what());
        return (elsewhere || choice)
                && debts.stream()
                        .filter(debt -> event.isAddressedTo(debt.to().address())
                                && event.facts().asked().equals(Set.of(debt.to().address())))
                        .anyMatch(debt -> elsewhere || Wanted.asksWhichOf(debt.what()));
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
            } else if (asksBack) {
                debts.remove(i);
                paused.add(new Paused(debt, List.copyOf(facts.asked()), event.messageId()));
            } else if (facts.putsOff(debt.what())) {
                debts.set(i, debt.promised(event));
            } else {
                debts.remove(i);
            }
        }
        if (facts.promises() && !owed) {
            Party to = event.to().stream().findFirst().or(() -> lastOther()).orElse(event.from());
            debts.add(DebtBuilder.builder()
                    .reason(Reason.PROMISED)
                    .to(to)
                    .messageId(event.messageId())
                    .since(event.sentAt())
                    .by(facts.promisedBy())
                    .what(facts.promised())
                    .others(Set.of())
                    .promise(Optional.of(new Promised(event.messageId(), event.sentAt(), facts.promised())))
                    .build());
        }
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

    /** Outgoing 2: those asked are awaited, each once, since the first ask that is open. */
    private void ask(TurnEvent event) {
        Facts facts = event.facts();
        if (facts.nature() == Nature.INVITATION) {
            event.to().forEach(party -> await(party, event));
            return;
        }
        inOrderOfRecipients(facts.asked(), event)
                .filter(address -> !isAwaited(new Party("", address)))
                .forEach(address -> await(partyOf(address, event), event));
        askWhoWasAnswered(event);
    }

    /** What I ask in a room in answer to somebody's message, I ask that one. */
    private void askWhoWasAnswered(TurnEvent event) {
        Facts facts = event.facts();
        if (event.channel() == Channel.CHAT && facts.asksNobodyByName()) {
            event.answers()
                    .flatMap(earlier::message)
                    .filter(one -> one.direction() == Direction.INCOMING)
                    .ifPresent(one -> await(one.from(), event));
        }
    }

    /** A set has no order that lasts; people see those asked as they were addressed. */
    private static Stream<String> inOrderOfRecipients(Set<String> addresses, TurnEvent event) {
        List<String> recipients = Stream.concat(event.to().stream(), event.cc().stream())
                .map(Party::address)
                .toList();
        return Stream.concat(
                recipients.stream().filter(addresses::contains).distinct(),
                addresses.stream()
                        .filter(address -> !recipients.contains(address))
                        .sorted());
    }

    private void await(Party party, TurnEvent event) {
        if (isAwaited(party) || party.isSameAs(event.from())) {
            return;
        }
        Awaited fresh = new Awaited(
                        party,
                        event.messageId(),
                        event.sentAt(),
                        event.facts().askBy(),
                        false,
                        event.facts().asked(party),
                        event.facts().openToAll())
                .writtenTo(event.sentAt(), false);
        LocalDate away = returns.get(party.address());
        awaited.add(away == null ? fresh : fresh.awayUntil(away));
    }

    private Party partyOf(String address, TurnEvent event) {
        Stream<Party> addressed = Stream.concat(event.to().stream(), event.cc().stream());
        return Stream.concat(addressed, before.stream().map(TurnEvent::from))
                .filter(party ->
                        party.address().equals(address) && !party.name().isEmpty())
                .findFirst()
                .orElse(new Party("", address));
    }
}
