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

    /** What is told in a chat is about one of so many messages before. */
    private static final int FARTHEST = 50;

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
        boolean told = debts.stream()
                .filter(debt -> debt.to().isSameAs(event.from()))
                .anyMatch(debt -> (facts.overtaken() && isStillAbout(debt.messageId(), debt.to(), event))
                        || TakenBack.speakOfTheSame(facts.thingThere(), debt.what()));
        return told
                && !facts.asksMe()
                && !facts.putsOff("")
                && awaited.stream().noneMatch(one -> one.party().isSameAs(event.from()))
                && asking.stream().noneMatch(one -> one.party().isSameAs(event.from()))
                && paused.stream().noneMatch(rest -> rest.debt().to().isSameAs(event.from()));
    }

    /** Whether a message of mine tells that of what I asked those whom it is written to. */
    boolean byMe(TurnEvent event) {
        Facts facts = event.facts();
        boolean told = awaited.stream()
                .filter(one -> event.isAddressedTo(one.party().address()))
                .anyMatch(one -> (facts.overtaken() && isStillAbout(one.messageId(), one.party(), event))
                        || TakenBack.speakOfTheSame(facts.thingThere(), one.what()));
        return told
                && facts.asked().isEmpty()
                && !facts.putsOff("")
                && asking.stream()
                        .noneMatch(one -> event.isAddressedTo(one.party().address()))
                && debts.stream()
                        .noneMatch(debt -> event.isAddressedTo(debt.to().address()));
    }

    /** In a chat people go on to other things: once a third has written, only what answers the ask is about it. */
    private boolean isStillAbout(UUID ask, Party other, TurnEvent event) {
        if (event.channel() == Channel.MAIL || event.answersIt(ask)) {
            return true;
        }
        List<TurnEvent> before = earlier.events();
        for (int i = before.size() - 1; i >= Math.max(0, before.size() - FARTHEST); i--) {
            TurnEvent one = before.get(i);
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
