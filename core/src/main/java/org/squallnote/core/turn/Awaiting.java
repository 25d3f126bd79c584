package org.squallnote.core.turn;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;

/** Whom I wait for, as what I write asks them. */
final class Awaiting {

    private final Earlier earlier;
    private final List<Awaited> awaited;
    private final List<Awaited> asking;
    private final Map<String, LocalDate> returns;

    /** It adds to those awaited. */
    Awaiting(Earlier earlier, List<Awaited> awaited, List<Awaited> asking, Map<String, LocalDate> returns) {
        this.earlier = earlier;
        this.awaited = awaited;
        this.asking = asking;
        this.returns = returns;
    }

    /** Whether somebody is awaited, also where they have asked back meanwhile. */
    boolean has(Party party) {
        return awaited.stream().anyMatch(one -> one.party().isSameAs(party))
                || asking.stream().anyMatch(one -> one.party().isSameAs(party));
    }

    /** Outgoing 2: those asked are awaited, each once, since the first ask that is open. */
    void ask(TurnEvent event) {
        Facts facts = event.facts();
        if (facts.nature() == Nature.INVITATION) {
            event.to().forEach(party -> await(party, event));
            return;
        }
        inOrderOfRecipients(facts.asked(), event)
                .filter(address -> !has(new Party("", address)))
                .forEach(address -> await(earlier.partyOf(address, event), event));
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
        if (has(party) || party.isSameAs(event.from())) {
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
}
