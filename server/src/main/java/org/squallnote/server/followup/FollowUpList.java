package org.squallnote.server.followup;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.repetition.SeriesStore;

/** Gathers follow-ups with the messages that they come from. */
@Component
class FollowUpList {

    /** How long what has ended stays in the list. */
    private static final Duration ENDED_SHOWN = Duration.ofDays(7);

    private final FollowUpStore store;
    private final SeriesStore series;
    private final MessageStore messages;
    private final Clock clock;

    FollowUpList(FollowUpStore store, SeriesStore series, MessageStore messages, Clock clock) {
        this.store = store;
        this.series = series;
        this.messages = messages;
        this.clock = clock;
    }

    /**
     * All that are shown.
     *
     * @param waiting those that wait for something
     * @param later those that stay out of sight for now
     * @param undated how many of the others and of these have no reply-by date
     * @param origins the message that each comes from
     * @param repeating those that come back when they have ended
     */
    record Shown(
            List<FollowUp> open,
            List<FollowUp> waiting,
            List<FollowUp> later,
            List<FollowUp> ended,
            int undated,
            Map<UUID, FollowUpOrigin> origins,
            Set<UUID> repeating) {}

    /**
     * Those that are open.
     *
     * @param inSight without those that wait or stay out of sight for now
     * @param origins the message that each comes from
     */
    record Open(List<FollowUp> all, List<FollowUp> inSight, Map<UUID, FollowUpOrigin> origins) {}

    Open open(SignedIn me) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        List<FollowUp> open = store.open(me.accountId());
        return new Open(open, open.stream().filter(each -> !each.isLater(today)).toList(), origins(me, now));
    }

    /** @param endedSince the messages of what has ended since then too */
    private Map<UUID, FollowUpOrigin> origins(SignedIn me, Instant endedSince) {
        Map<UUID, FollowUpOrigin> origins = new HashMap<>();
        store.origins(me.accountId(), endedSince).forEach(origin -> origins.putIfAbsent(origin.followUpId(), origin));
        return origins;
    }

    Shown of(SignedIn me) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        List<FollowUp> open = store.open(me.accountId());
        return new Shown(
                open.stream().filter(each -> !each.isLater(today)).toList(),
                open.stream().filter(each -> each.isWaiting(today)).toList(),
                open.stream()
                        .filter(each -> each.isLater(today) && !each.isWaiting(today))
                        .toList(),
                store.endedSince(me.accountId(), now.minus(ENDED_SHOWN)),
                (int) open.stream().filter(each -> each.replyBy().isEmpty()).count(),
                origins(me, now.minus(ENDED_SHOWN)),
                series.currents(me.accountId()));
    }

    /**
     * A message of a follow-up.
     *
     * @param threadId of the message as it is now
     * @param now the message as it is now
     */
    record Linked(FollowUpLink link, UUID threadId, Optional<StoredMessage> now) {}

    /**
     * One with its messages.
     *
     * @param origin the message that it comes from
     */
    record One(Optional<FollowUpOrigin> origin, List<Linked> messages) {}

    One one(FollowUp followUp) {
        UUID owner = followUp.owner();
        List<FollowUpOrigin> origins = store.originsOf(owner, followUp.id());
        Map<UUID, UUID> threads = new HashMap<>();
        origins.forEach(origin -> threads.put(origin.messageId(), origin.threadId()));
        List<FollowUpLink> links = store.links(owner, followUp.id());
        Map<UUID, StoredMessage> now = new HashMap<>();
        if (!links.isEmpty()) {
            messages.byIds(owner, links.stream().map(FollowUpLink::messageId).toList())
                    .forEach(message -> now.put(message.id(), message));
        }
        return new One(
                origins.stream().findFirst(),
                links.stream()
                        .map(link -> new Linked(
                                link,
                                threads.getOrDefault(link.messageId(), link.messageId()),
                                Optional.ofNullable(now.get(link.messageId()))))
                        .toList());
    }
}
