package org.squallnote.core.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.core.turn.TurnState;

/**
 * Reads from the course of a thread what was asked in it and what became of that: whatever is owed after one message and
 * no longer after a later one was ended by that.
 */
public final class Exchanges {

    private final Map<Key, Exchange> found = new LinkedHashMap<>();

    private Exchanges() {}

    /** What makes it the same debt. */
    private record Key(boolean mine, UUID messageId, String other) {}

    /** All that was asked or promised in a thread, in the order in which it was. */
    public static List<Exchange> in(TurnFold fold) {
        Exchanges exchanges = new Exchanges();
        List<TurnEvent> events = fold.events();
        for (int i = 0; i < events.size(); i++) {
            exchanges.take(events.get(i), fold.after(i));
        }
        return new ArrayList<>(exchanges.found.values());
    }

    private void take(TurnEvent event, TurnState after) {
        Map<Key, Exchange> open = new LinkedHashMap<>();
        Stream.concat(after.debts().stream(), after.paused().stream().map(TurnState.Paused::debt))
                .filter(debt -> debt.reason() != Debt.Reason.BOUNCED)
                .forEach(debt ->
                        open.put(new Key(true, debt.messageId(), debt.to().address()), open(debt)));
        Stream.concat(after.awaited().stream(), after.asking().stream())
                .forEach(one ->
                        open.put(new Key(false, one.messageId(), one.party().address()), open(one, event)));
        found.replaceAll((key, before) ->
                before.outcome() == Exchange.Outcome.OPEN && !open.containsKey(key) ? ended(before, event) : before);
        // What a sign had ended is open again when the sign is taken back.
        open.forEach((key, now) -> found.merge(key, now, Exchanges::goingOn));
    }

    private static Exchange goingOn(Exchange before, Exchange now) {
        return new Exchange(
                before.kind(),
                before.other(),
                before.messageId(),
                before.askedAt(),
                before.words(),
                now.by(),
                before.promise().or(now::promise),
                Exchange.Outcome.OPEN,
                Optional.empty(),
                Optional.empty());
    }

    private static Exchange open(Debt debt) {
        boolean promised = debt.reason() == Debt.Reason.PROMISED;
        return new Exchange(
                promised ? Exchange.Kind.PROMISED_BY_ME : Exchange.Kind.ASKED_ME,
                debt.to(),
                debt.messageId(),
                debt.since(),
                debt.what(),
                debt.by(),
                promised ? Optional.empty() : debt.promise(),
                Exchange.Outcome.OPEN,
                Optional.empty(),
                Optional.empty());
    }

    private static Exchange open(Awaited one, TurnEvent event) {
        // Whoever promised something unasked comes to owe it with their own message.
        boolean promised =
                one.promised() && one.messageId().equals(event.messageId()) && event.direction() == Direction.INCOMING;
        return new Exchange(
                promised ? Exchange.Kind.PROMISED_TO_ME : Exchange.Kind.ASKED_BY_ME,
                one.party(),
                one.messageId(),
                one.since(),
                one.what(),
                one.by(),
                Optional.empty(),
                Exchange.Outcome.OPEN,
                Optional.empty(),
                Optional.empty());
    }

    private static Exchange ended(Exchange open, TurnEvent event) {
        Optional<UUID> in = event.reaction() ? Optional.empty() : Optional.of(event.messageId());
        Instant at = event.sentAt();
        return new Exchange(
                open.kind(),
                open.other(),
                open.messageId(),
                open.askedAt(),
                open.words(),
                open.by(),
                open.promise(),
                outcome(open, event),
                in,
                Optional.of(at));
    }

    private static Exchange.Outcome outcome(Exchange open, TurnEvent event) {
        if (event.facts().nature() == Nature.BOUNCE) {
            return Exchange.Outcome.UNDELIVERED;
        }
        boolean byMe = event.direction() == Direction.OUTGOING;
        boolean byOther = event.from().isSameAs(open.other());
        boolean byAsker = open.mine() ? byOther : byMe;
        boolean byAsked = open.mine() ? byMe : byOther;
        if (byAsked) {
            return Exchange.Outcome.ANSWERED;
        }
        if (byAsker && event.facts().withdraws()) {
            return Exchange.Outcome.WITHDRAWN;
        }
        return byAsker && open.mine() ? Exchange.Outcome.SETTLED : Exchange.Outcome.ANSWERED_BY_ANOTHER;
    }
}
