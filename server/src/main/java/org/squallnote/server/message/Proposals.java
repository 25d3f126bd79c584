package org.squallnote.server.message;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.followup.ProposedTitle;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.policy.ReplyByPolicy;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.DayLoad;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.message.MessageStore;

/** Proposes a follow-up for a message, each part with its reason. */
@Component
public class Proposals {

    private static final int LONGEST_SENTENCE = 1000;
    private static final int MOST_PEOPLE = 8;

    private final MessageStore messages;
    private final CategoryStore categories;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    Proposals(MessageStore messages, CategoryStore categories, WorkingTimes workingTimes, Clock clock) {
        this.messages = messages;
        this.categories = categories;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * A follow-up on offer.
     *
     * @param sentence the sentence it is about, empty for the whole message
     */
    public record Proposal(
            String sentence,
            String title,
            LocalDate replyBy,
            @Nullable LocalTime replyTime,
            boolean firm,
            String replyByReason,
            @Nullable UUID categoryId,
            String categoryReason,
            int effortMinutes,
            Priority priority,
            boolean forReply,
            List<Party> people) {}

    /** Proposes for one reader, with policy and categories read once. */
    public final class Proposer {

        private final SignedIn me;
        private final AccountReader reader;
        private final ReplyByPolicy policy;
        private final Set<UUID> inUse;
        private final Map<UUID, Integer> efforts = new HashMap<>();
        private final Map<String, Optional<UUID>> lastCategories = new HashMap<>();

        private Proposer(SignedIn me, AccountReader reader) {
            this.me = me;
            this.reader = reader;
            List<Category> all = categories.of(me.accountId());
            this.policy = policy(me, reader, all);
            this.inUse = all.stream()
                    .filter(category -> category.retiredAt() == null)
                    .map(Category::id)
                    .collect(Collectors.toSet());
            for (Category category : all) {
                if (category.effortMinutes() != null) {
                    efforts.put(category.id(), category.effortMinutes());
                }
            }
        }

        /** Where a message asks several things: a follow-up for each. */
        public List<Proposal> each(StoredMessage message, Reading reading) {
            return reading.each().stream()
                    .map(one -> of(
                            message,
                            reading.only(one),
                            one.ask().sentence().foldedIn(reading.words().text())))
                    .toList();
        }

        /** The follow-up on offer for a message. */
        public Proposal of(StoredMessage message, Reading reading) {
            return of(message, reading, "");
        }

        private Proposal of(StoredMessage message, Reading reading, String sentence) {
            Optional<UUID> category = lastCategories.computeIfAbsent(
                    message.fromAddress(),
                    address -> messages.lastCategoryFor(me.accountId(), address).filter(inUse::contains));
            String subject = message.channel() == Channel.CHAT ? "" : message.subject();
            String title = ProposedTitle.of(message.from(), subject, message.subject(), reading);
            ReplyByPolicy.Proposal replyBy = policy.propose(
                    reading,
                    reading.words().text(),
                    subject,
                    message.party(),
                    category,
                    LocalDateTime.ofInstant(message.sentAt(), me.zoneId()),
                    LocalDateTime.ofInstant(clock.instant(), me.zoneId()),
                    reader.workingTime());
            return new Proposal(
                    sentence.length() > LONGEST_SENTENCE ? sentence.substring(0, LONGEST_SENTENCE) : sentence,
                    title,
                    replyBy.day(),
                    replyBy.time().orElse(null),
                    replyBy.firm(),
                    replyBy.why(),
                    category.orElse(null),
                    category.isPresent()
                            ? "as with the last one from " + message.from().shortName()
                            : "",
                    category.map(efforts::get).orElse(DayLoad.DEFAULT_EFFORT_MINUTES),
                    Priority.of(reading.weight()),
                    ProposedTitle.endsWithAnswer(title),
                    people(message));
        }

        /** The thread's parties to begin with, without me; of a room, who wrote. */
        private List<Party> people(StoredMessage message) {
            Stream<Party> all = message.channel() == Channel.CHAT || message.listAddress() != null
                    ? Stream.of(message.from())
                    : Stream.concat(Stream.of(message.from()), message.recipients().to().stream());
            return all.filter(
                            party -> !party.address().isEmpty() && !reader.me().is(party))
                    .distinct()
                    .limit(MOST_PEOPLE)
                    .toList();
        }
    }

    /** Proposes for one reader. */
    public Proposer of(SignedIn me, AccountReader reader) {
        return new Proposer(me, reader);
    }

    private ReplyByPolicy policy(SignedIn me, AccountReader reader, List<Category> all) {
        Map<String, Integer> byParty = new HashMap<>();
        reader.rules().forEach((party, rule) -> {
            if (rule.replyDays() != null) {
                byParty.put(party, rule.replyDays());
            }
        });
        Map<UUID, Integer> byCategory = new HashMap<>();
        for (Category category : all) {
            if (category.replyDays() != null) {
                byCategory.put(category.id(), category.replyDays());
            }
        }
        return new ReplyByPolicy(workingTimes.settings(me.accountId()).replyDays(), byParty, byCategory);
    }
}
