package org.squallnote.core.turn;

import java.util.List;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Debt.Reason;

/** What somebody else answers: in my place, or in the place of whom I have asked. */
final class OthersAnswers {

    private final Earlier earlier;
    private final List<Debt> debts;
    private final List<Awaited> awaited;
    private final List<Awaited> asking;

    /** They change these lists. */
    OthersAnswers(Earlier earlier, List<Debt> debts, List<Awaited> awaited, List<Awaited> asking) {
        this.earlier = earlier;
        this.debts = debts;
        this.awaited = awaited;
        this.asking = asking;
    }

    /** Incoming 9 and 10: somebody else answers the one who asked me; that one's thanks end what I owe. */
    void inMyPlace(TurnEvent event) {
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
        boolean answers = facts.saysSomething() && !facts.putsOff(debt.what());
        // "Who of you will meet them?" "I will."
        boolean takesItOver = !facts.answersLater()
                && (facts.promises() || facts.holding())
                && earlier.message(debt.messageId())
                        .filter(ask -> ask.isAddressedTo(event.from().address()))
                        .isPresent();
        if (debt.openToAll() || isAskedOfAHouse(debt, event)) {
            if (answers || (facts.saysSomething() && facts.promises())) {
                debts.remove(at);
            } else if (takesItOver) {
                debts.set(at, debt.answeredInMyPlace(event));
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
    void inTheirPlace(TurnEvent event) {
        Facts facts = event.facts();
        if (!facts.saysSomething()) {
            return;
        }
        for (int i = 0; i < awaited.size(); i++) {
            Awaited one = awaited.get(i);
            // Of several who were asked each answers for themselves.
            boolean another =
                    !one.promised() && !one.isAnsweredBy(event) && !earlier.isAsked(event.from(), one.messageId());
            boolean says = facts.fulfils() || !Wanted.isToBeDone(one.what());
            boolean meant = event.answersIt(one.messageId()) || answersWhatFollowed(event, one);
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
        List<TurnEvent> recent = earlier.recent();
        for (int i = recent.size() - 1; i >= 0; i--) {
            TurnEvent one = recent.get(i);
            if (one.messageId().equals(debt.messageId())) {
                return false;
            }
            if (one.direction() == Direction.OUTGOING && one.facts().putsOff(debt.what())) {
                return false; // They thank me for what I promised.
            }
            boolean byAnother = one.direction() == Direction.INCOMING
                    && !one.reaction()
                    && !one.from().isSameAs(thanks.from());
            if (byAnother && one.facts().answersNow()) {
                return true;
            }
        }
        return false;
    }

    /** A mail that answers the ask, or what the asker and I have written to each other since without asking others. */
    private boolean answersItOrWhatFollowed(TurnEvent event, Debt debt) {
        return event.answersIt(debt.messageId())
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
                        .filter(theirs -> theirs.from().isSameAs(other) && theirs.answersIt(one.messageId()))
                        .isPresent();
    }
}
