package org.squallnote.core.turn;

import java.util.List;
import java.util.UUID;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.TurnState.Paused;

/**
 * What was asked for and is there already, comes from elsewhere or has fallen away, as whoever asked tells: "Hal had a copy".
 * It counts only from somebody who has nothing to answer: what they tell an answer is about that.
 */
final class OvertakenAsks {

    private final Earlier earlier;
    private final List<Debt> debts;
    private final List<Paused> paused;
    private final List<Awaited> awaited;
    private final List<Awaited> asking;

    OvertakenAsks(Earlier earlier, List<Debt> debts, List<Paused> paused, List<Awaited> awaited, List<Awaited> asking) {
        this.earlier = earlier;
        this.debts = debts;
        this.paused = paused;
        this.awaited = awaited;
        this.asking = asking;
    }

    /** Whether a message of somebody tells that of what they asked me. */
    boolean byWhoAsked(TurnEvent event) {
        Facts facts = event.facts();
        if (!tells(facts) || facts.asksMe()) {
            return false;
        }
        return debts.stream()
                        .filter(debt -> debt.to().isSameAs(event.from()))
                        .anyMatch(debt -> isOf(debt.messageId(), debt.to(), debt.what(), event))
                && awaited.stream().noneMatch(one -> one.party().isSameAs(event.from()))
                && asking.stream().noneMatch(one -> one.party().isSameAs(event.from()))
                && paused.stream().noneMatch(rest -> rest.debt().to().isSameAs(event.from()));
    }

    /** Those to whom I tell that are not awaited for it any more. */
    void byMe(TurnEvent event) {
        Facts facts = event.facts();
        boolean answers = asking.stream()
                        .anyMatch(one -> event.isAddressedTo(one.party().address()))
                || debts.stream().anyMatch(debt -> event.isAddressedTo(debt.to().address()));
        if (tells(facts) && facts.asked().isEmpty() && !answers) {
            awaited.removeIf(one -> event.isAddressedTo(one.party().address())
                    && isOf(one.messageId(), one.party(), one.what(), event));
        }
    }

    /** "Good talking to you": who was to call the other has called, whatever else is promised or asked. */
    void bySpeaking(TurnEvent event) {
        if (!Wanted.saysThatTheySpoke(event.facts().thingThere())) {
            return;
        }
        debts.removeIf(debt -> debt.to().isSameAs(event.from())
                && Wanted.isOnlyACall(debt.what())
                && isStillAbout(debt.messageId(), debt.to(), event));
        awaited.removeIf(one -> event.direction() == Direction.OUTGOING
                && event.isAddressedTo(one.party().address())
                && Wanted.isOnlyACall(one.what())
                && isStillAbout(one.messageId(), one.party(), event));
    }

    private static boolean tells(Facts facts) {
        return (facts.overtaken() || !facts.thingThere().isEmpty()) && !facts.putsOff("");
    }

    private boolean isOf(UUID ask, Party other, String words, TurnEvent event) {
        return (event.facts().overtaken() && isStillAbout(ask, other, event))
                || TakenBack.speakOfTheSame(event.facts().thingThere(), words);
    }

    /** In a chat people go on to other things: once a third has written, only what answers the ask is about it. */
    private boolean isStillAbout(UUID ask, Party other, TurnEvent event) {
        if (event.channel() == Channel.MAIL || event.answersIt(ask)) {
            return true;
        }
        List<TurnEvent> recent = earlier.recent();
        for (int i = recent.size() - 1; i >= 0; i--) {
            TurnEvent one = recent.get(i);
            if (one.messageId().equals(ask)) {
                return true;
            }
            if (one.direction() == Direction.INCOMING && !one.from().isSameAs(other)) {
                return false;
            }
        }
        return false;
    }
}
