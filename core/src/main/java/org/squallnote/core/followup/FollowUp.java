package org.squallnote.core.followup;

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
        return new FollowUp(
                id,
                owner,
                content.usableTitle(),
                content.categoryId(),
                content.replyDay(),
                content.usableTime(),
                content.firm(),
                content.effortMinutes(),
                content.usablePriority(),
                forReply,
                details.startDay(),
                details.place().strip(),
                details.parties(),
                details.steps(),
                details.note(),
                null,
                null,
                FollowUpState.OPEN,
                createdAt,
                null,
                0);
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
        Content.Details details = content.details();
        return new FollowUp(
                id,
                owner,
                content.usableTitle(),
                content.categoryId(),
                content.replyDay(),
                content.usableTime(),
                content.firm(),
                content.effortMinutes(),
                content.priority() == null ? priority : content.priority(),
                content.endsWithAnswer(),
                details == null ? startDay : details.startDay(),
                details == null ? place : details.place().strip(),
                details == null ? people : details.parties(),
                details == null ? checklist : details.steps(),
                details == null ? note : details.note(),
                waiting == null || waiting.come() != null ? null : waiting,
                null,
                state,
                createdAt,
                endedAt,
                version);
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
        return with(categoryId, replyDay, replyTime, priority, startDay, what, answerSeen, state, endedAt);
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
        return with(categoryId, replyDay, replyTime, priority, startDay, waiting, answerSeen, newState, at);
    }

    /** This follow-up with another reply-by date. */
    public FollowUp replyBy(@Nullable LocalDate day, @Nullable LocalTime time) {
        return with(categoryId, day, time, priority, startDay, waiting, answerSeen, state, endedAt);
    }

    /** This follow-up with an answer of mine that was seen, after which somebody has to say whether it is done. */
    public FollowUp answerSeen(UUID answerId) {
        return with(categoryId, replyDay, replyTime, priority, startDay, waiting, answerId, state, endedAt);
    }

    /** This follow-up in another category. */
    public FollowUp inCategory(@Nullable UUID newCategoryId) {
        return with(newCategoryId, replyDay, replyTime, priority, startDay, waiting, answerSeen, state, endedAt);
    }

    /** This follow-up out of sight until a day; of what it waited for only what is needed first goes on holding it back. */
    public FollowUp startingOn(@Nullable LocalDate day) {
        Waiting held = waiting == null ? null : waiting.heldBackOnly();
        return with(categoryId, replyDay, replyTime, priority, day, held, answerSeen, state, endedAt);
    }

    /** This follow-up with another weight. */
    public FollowUp weighing(Priority newPriority) {
        return with(categoryId, replyDay, replyTime, newPriority, startDay, waiting, answerSeen, state, endedAt);
    }

    /** This follow-up to be done somewhere; empty for anywhere. */
    public FollowUp doneAt(String newPlace) {
        return lying(effortMinutes, newPlace, people);
    }

    /** This follow-up with somebody whom it concerns first; nobody where null. */
    public FollowUp concerning(@Nullable Party person) {
        return lying(
                effortMinutes,
                place,
                new Parties(
                        person == null
                                ? List.of()
                                : Stream.concat(
                                                Stream.of(person),
                                                people.list().stream().filter(each -> !each.equals(person)))
                                        .toList()));
    }

    /** This follow-up with another estimate, in minutes. */
    public FollowUp taking(@Nullable Integer minutes) {
        return lying(minutes, place, people);
    }

    private FollowUp lying(@Nullable Integer newEffort, String newPlace, Parties newPeople) {
        return new FollowUp(
                id,
                owner,
                title,
                categoryId,
                replyDay,
                replyTime,
                firm,
                newEffort,
                priority,
                forReply,
                startDay,
                newPlace,
                newPeople,
                checklist,
                note,
                waiting,
                answerSeen,
                state,
                createdAt,
                endedAt,
                version);
    }

    private FollowUp with(
            @Nullable UUID newCategoryId,
            @Nullable LocalDate newDay,
            @Nullable LocalTime newTime,
            Priority newPriority,
            @Nullable LocalDate newStart,
            @Nullable Waiting newWaiting,
            @Nullable UUID newAnswerSeen,
            FollowUpState newState,
            @Nullable Instant newEndedAt) {
        return new FollowUp(
                id,
                owner,
                title,
                newCategoryId,
                newDay,
                newTime,
                firm,
                effortMinutes,
                newPriority,
                forReply,
                newStart,
                place,
                people,
                checklist,
                note,
                newWaiting,
                newAnswerSeen,
                newState,
                createdAt,
                newEndedAt,
                version);
    }
}
