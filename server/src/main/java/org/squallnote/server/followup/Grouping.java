package org.squallnote.server.followup;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.DueSpan;
import org.squallnote.core.followup.Facet;
import org.squallnote.core.followup.FacetFilter;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpGroups;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.ArrangementStore;

/** The open follow-ups of an account in groups. */
@Component
public class Grouping {

    private final FollowUpList list;
    private final FollowUpNames names;
    private final ArrangementStore arrangements;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    Grouping(
            FollowUpList list,
            FollowUpNames names,
            ArrangementStore arrangements,
            WorkingTimes workingTimes,
            Clock clock) {
        this.list = list;
        this.names = names;
        this.arrangements = arrangements;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Those that a filter lets through, by one facet. By state what is out of sight is there too. */
    public List<FollowUpGroups.Group> of(SignedIn me, Facet by, boolean byHand, FacetFilter filter) {
        FollowUpList.Open open = list.open(me);
        FollowUpGroups.Names nameOf = names.of(me.accountId(), open.origins());
        boolean everything = by == Facet.STATE || filter.wanted().containsKey(Facet.STATE);
        List<FollowUp> wanted =
                FollowUpGroups.having(everything ? open.all() : open.inSight(), filter, nameOf, now(me));
        return FollowUpGroups.of(wanted, by, nameOf, now(me), byHand ? ranks(me.accountId()) : Map.of());
    }

    /** What there is of each facet. */
    Map<Facet, List<FollowUpGroups.Group>> all(SignedIn me) {
        FollowUpList.Open open = list.open(me);
        FollowUpGroups.Names nameOf = names.of(me.accountId(), open.origins());
        Map<Facet, List<FollowUpGroups.Group>> all = new EnumMap<>(Facet.class);
        for (Facet facet : Facet.values()) {
            List<FollowUp> those = facet == Facet.STATE ? open.all() : open.inSight();
            all.put(facet, FollowUpGroups.of(those, facet, nameOf, now(me), Map.of()));
        }
        return all;
    }

    /** The day that is meant by a span. */
    @Nullable
    LocalDate day(SignedIn me, DueSpan span) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        return span.day(now(me).toLocalDate(), workingTime).orElse(null);
    }

    private Map<UUID, Long> ranks(UUID owner) {
        Map<UUID, Long> ranks = new HashMap<>();
        arrangements.ranks(owner).forEach(each -> ranks.put(each.followUpId(), each.rank()));
        return ranks;
    }

    private LocalDateTime now(SignedIn me) {
        return LocalDateTime.ofInstant(clock.instant(), me.zoneId());
    }
}
