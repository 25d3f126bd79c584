package org.squallnote.core.followup;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.time.DayLoad;
import org.squallnote.core.time.ReplyBy;

/**
 * A follow-up.
 *
 * @param replyDay the reply-by day in the account's zone, with the time where one was given
 * @param effortMinutes how long it will take, where somebody said so
 * @param priority how much it matters beside others
 * @param forReply whether it ends by itself when my answer is seen
 * @param startDay before which it stays out of sight
 * @param place where it can be done, empty for anywhere
 * @param people whom it concerns
 * @param waiting what it waits for, or waited for
 * @param answerSeen my answer that was seen, of one that does not end by it
 * @param endedAt when it was done or dropped
 */
@RecordBuilder
public record FollowUp(
        UUID id,
        UUID owner,
        String title,
        @Nullable UUID categoryId,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        @Nullable Integer effortMinutes,
        Priority priority,
        boolean forReply,
        @Nullable LocalDate startDay,
        String place,
        Parties people,
        Checklist checklist,
        String note,
        @Nullable Waiting waiting,
        @Nullable UUID answerSeen,
        FollowUpState state,
        Instant createdAt,
        @Nullable Instant endedAt,
        int version) {

    /**
     * A new one.
     *
     * @param message what it is made from; absent where it comes from none, and then there is no answer that ends it
     * @throws IllegalArgumentException when it has no title
     */
    public static FollowUp made(
            UUID id, UUID owner, Content content, Optional<StoredMessage> message, Instant createdAt) {
        Content.Details details = Optional.ofNullable(content.details())
                .orElseGet(() -> message.map(from -> Content.Details.of(List.of(from.from())))
                        .orElse(Content.Details.NONE));
        return made(id, owner, content, details, message.isPresent() && content.endsWithAnswer(), createdAt);
    }

    /**
     * One like others before it, which says itself whether an answer ends it.
     *
     * @throws IllegalArgumentException when it has no title
     */
    public static FollowUp again(UUID id, UUID owner, Content content, Instant createdAt) {
        Content.Details details = Optional.ofNullable(content.details()).orElse(Content.Details.NONE);
        return made(id, owner, content, details, content.endsWithAnswer(), createdAt);
    }

    private static FollowUp made(
            UUID id, UUID owner, Content content, Content.Details details, boolean forReply, Instant createdAt) {
        return FollowUpBuilder.builder()
                .id(id)
                .owner(owner)
                .title(content.usableTitle())
                .categoryId(content.categoryId())
                .replyDay(content.replyDay())
                .replyTime(content.usableTime())
                .firm(content.firm())
                .effortMinutes(content.effortMinutes())
                .priority(content.usablePriority())
                .forReply(forReply)
                .startDay(details.startDay())
                .place(details.place().strip())
                .people(details.parties())
                .checklist(details.steps())
                .note(details.note())
                .state(FollowUpState.OPEN)
                .createdAt(createdAt)
                .build();
    }

    /** What it says, with its checklist fresh and without its days, for others like it. */
    public Content pattern() {
        return new Content(
                title,
                null,
                replyTime,
                firm,
                categoryId,
                effortMinutes,
                priority,
                forReply,
                new Content.Details(
                        null,
                        place,
                        people.list(),
                        checklist.items().stream()
                                .map(item -> new Checklist.Item(item.text(), false))
                                .toList(),
                        note));
    }

    /**
     * This follow-up with another content. Who changes it has seen that they answered, and says that it goes on.
     *
     * @throws IllegalArgumentException when it has no title
     */
    public FollowUp changed(Content content) {
        FollowUpBuilder changed = but().title(content.usableTitle())
                .categoryId(content.categoryId())
                .replyDay(content.replyDay())
                .replyTime(content.usableTime())
                .firm(content.firm())
                .effortMinutes(content.effortMinutes())
                .forReply(content.endsWithAnswer())
                .answerSeen(null);
        if (content.priority() != null) {
            changed.priority(content.priority());
        }
        if (waiting != null && waiting.come() != null) {
            changed.waiting(null);
        }
        Content.Details details = content.details();
        if (details != null) {
            changed.startDay(details.startDay())
                    .place(details.place().strip())
                    .people(details.parties())
                    .checklist(details.steps())
                    .note(details.note());
        }
        return changed.build();
    }

    /** The reply-by date in core's terms. */
    public Optional<ReplyBy> replyBy() {
        return Optional.ofNullable(replyDay).map(day -> new ReplyBy(day, Optional.ofNullable(replyTime), firm));
    }

    /** Whether it is to be answered on a day; what is late is due today. */
    public boolean isDueOn(LocalDate day, LocalDate today) {
        return replyDay != null && (day.equals(replyDay) || (day.equals(today) && replyDay.isBefore(today)));
    }

    /** Whether it stays out of sight for now. */
    public boolean isLater(LocalDate today) {
        return (startDay != null && startDay.isAfter(today)) || isWaiting(today);
    }

    /** Whether it waits for something that has not come. */
    public boolean isWaiting(LocalDate today) {
        return waiting != null && !waiting.isOver(today);
    }

    /** Whether what it waited for has come, so that it is back on top. */
    public boolean isBack(LocalDate today) {
        return waiting != null && waiting.isOver(today);
    }

    /** From when on it waits for something that somebody writes; null where it does not. */
    public @Nullable Instant waitsSince() {
        if (state != FollowUpState.OPEN || waiting == null || waiting.come() != null) {
            return null;
        }
        return waiting.person() != null || waiting.threadId() != null ? waiting.since() : null;
    }

    /** This follow-up out of sight until something comes; null for no longer. */
    public FollowUp waitingFor(@Nullable Waiting what) {
        return but().waiting(what).build();
    }

    /** Whether a day lies after the firm date by which it is to be answered. */
    public boolean isPastFirmDate(LocalDate day) {
        return firm && replyDay != null && day.isAfter(replyDay);
    }

    /** How long it will take, by what nobody has estimated too, in minutes. */
    public int expectedMinutes() {
        return effortMinutes == null ? DayLoad.DEFAULT_EFFORT_MINUTES : effortMinutes;
    }

    /** This follow-up in another state. */
    public FollowUp ended(FollowUpState newState, @Nullable Instant at) {
        return but().state(newState).endedAt(at).build();
    }

    /** This follow-up with another reply-by date. */
    public FollowUp replyBy(@Nullable LocalDate day, @Nullable LocalTime time) {
        return but().replyDay(day).replyTime(time).build();
    }

    /** This follow-up with an answer of mine that was seen, after which somebody has to say whether it is done. */
    public FollowUp answerSeen(UUID answerId) {
        return but().answerSeen(answerId).build();
    }

    /** This follow-up in another category. */
    public FollowUp inCategory(@Nullable UUID newCategoryId) {
        return but().categoryId(newCategoryId).build();
    }

    /** This follow-up out of sight until a day; of what it waited for only what is needed first goes on holding it back. */
    public FollowUp startingOn(@Nullable LocalDate day) {
        Waiting held = waiting == null ? null : waiting.heldBackOnly();
        return but().startDay(day).waiting(held).build();
    }

    /** This follow-up with another weight. */
    public FollowUp weighing(Priority newPriority) {
        return but().priority(newPriority).build();
    }

    /** This follow-up to be done somewhere; empty for anywhere. */
    public FollowUp doneAt(String newPlace) {
        return but().place(newPlace).build();
    }

    /** This follow-up with somebody whom it concerns first; nobody where null. */
    public FollowUp concerning(@Nullable Party person) {
        Stream<Party> others =
                person == null ? Stream.empty() : people.list().stream().filter(each -> !each.equals(person));
        return but().people(new Parties(
                        Stream.concat(Stream.ofNullable(person), others).toList()))
                .build();
    }

    /** This follow-up with another estimate, in minutes. */
    public FollowUp taking(@Nullable Integer minutes) {
        return but().effortMinutes(minutes).build();
    }

    private FollowUpBuilder but() {
        return FollowUpBuilder.builder(this);
    }
}
