package org.squallnote.server.message;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.ProposedTitle;
import org.squallnote.core.message.Channel;
import org.squallnote.core.time.QuickChoices;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.StoredMessage;

/** Proposes a follow-up for a message, each part with its reason. */
@Component
class Proposals {

    private static final int DEFAULT_EFFORT_MINUTES = 15;

    private final MessageStore messages;
    private final CategoryStore categories;
    private final Clock clock;

    Proposals(MessageStore messages, CategoryStore categories, Clock clock) {
        this.messages = messages;
        this.categories = categories;
        this.clock = clock;
    }

    /** A follow-up on offer. */
    record Proposal(
            String title,
            LocalDate replyBy,
            boolean firm,
            String replyByReason,
            @Nullable UUID categoryId,
            String categoryReason,
            int effortMinutes) {}

    Proposal of(SignedIn me, StoredMessage message) {
        WorkingTime workingTime = WorkingTime.officeHours(me.zoneId());
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        Optional<UUID> category = messages.lastCategoryFor(me.accountId(), message.fromAddress())
                .filter(id -> categories
                        .byId(me.accountId(), id)
                        .filter(found -> found.retiredAt() == null)
                        .isPresent());
        String subject = message.channel() == Channel.CHAT ? "" : message.subject();
        String words = message.ask().isEmpty() ? message.subject() : message.ask();
        return new Proposal(
                ProposedTitle.of(message.from(), subject, words),
                workingTime.addWorkingDays(today, QuickChoices.DEFAULT_WORKING_DAYS),
                false,
                "two working days, since the message names no date",
                category.orElse(null),
                category.isPresent()
                        ? "as with the last one from " + message.from().shortName()
                        : "",
                DEFAULT_EFFORT_MINUTES);
    }
}
