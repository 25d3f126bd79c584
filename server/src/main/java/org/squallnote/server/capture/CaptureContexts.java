package org.squallnote.server.capture;

import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.message.Party;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;

/** What captured lines are understood against, for each account. */
@Component
public class CaptureContexts {

    /** Who has written within this time is known by name. */
    private static final Duration KNOWN = Duration.ofDays(180);

    private final AccountStore accounts;
    private final CategoryStore categories;
    private final FollowUpStore followUps;
    private final MessageStore messages;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    CaptureContexts(
            AccountStore accounts,
            CategoryStore categories,
            FollowUpStore followUps,
            MessageStore messages,
            WorkingTimes workingTimes,
            Clock clock) {
        this.accounts = accounts;
        this.categories = categories;
        this.followUps = followUps;
        this.messages = messages;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** What an account types is understood against this. */
    public CaptureContext of(UUID owner) {
        Account account = accounts.byId(owner).orElseThrow();
        Map<String, UUID> names = new LinkedHashMap<>();
        categories.of(owner).stream()
                .filter(category -> category.retiredAt() == null)
                .forEach(category -> names.put(category.name(), category.id()));
        List<FollowUp> open = followUps.open(owner);
        Set<Party> people = new LinkedHashSet<>();
        open.forEach(followUp -> people.addAll(followUp.people().list()));
        people.addAll(messages.writersSince(owner, clock.instant().minus(KNOWN)));
        List<String> places = open.stream()
                .map(FollowUp::place)
                .filter(place -> !place.isEmpty())
                .distinct()
                .toList();
        DateContext dates = workingTimes.typing(owner, clock.instant());
        return new CaptureContext(dates, names, List.copyOf(people), places, account.name());
    }
}
