package org.squallnote.server.round;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.PromiseTitle;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.round.Overlooked;
import org.squallnote.core.round.RoundStep;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.GroupedThread;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadFollowUps;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.figures.RecipeHabits;
import org.squallnote.server.promise.Promises;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.figures.FiguresStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers what each step of the walk is about. */
@Component
class RoundSteps {

    /** More do not fit into one walk; what is left stays for the next. */
    private static final int MOST = 300;

    private static final int LONGEST_WORDS = 160;
    private static final int DAYS_BACK = 7;
    private static final int DAYS_AHEAD = 14;

    /** A category that nothing has used for so long is not used. */
    private static final Duration UNUSED_FOR = Duration.ofDays(84);

    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final PlanStore plans;
    private final ThreadStore threads;
    private final Promises promises;
    private final Calendars calendars;
    private final CategoryStore categories;
    private final FiguresStore figures;
    private final RecipeHabits habits;
    private final HandOverStore handOvers;
    private final Clock clock;

    RoundSteps(
            MessageStore messages,
            FollowUpStore followUps,
            PlanStore plans,
            ThreadStore threads,
            Promises promises,
            Calendars calendars,
            CategoryStore categories,
            FiguresStore figures,
            RecipeHabits habits,
            HandOverStore handOvers,
            Clock clock) {
        this.messages = messages;
        this.followUps = followUps;
        this.plans = plans;
        this.threads = threads;
        this.promises = promises;
        this.calendars = calendars;
        this.categories = categories;
        this.figures = figures;
        this.habits = habits;
        this.handOvers = handOvers;
        this.clock = clock;
    }

    List<RoundLine> lines(SignedIn me, RoundStep step) {
        UUID owner = me.accountId();
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), me.zoneId());
        LocalDate today = now.toLocalDate();
        return switch (step) {
            case INTAKE -> intake(owner, today);
            case UNDATED -> {
                Set<UUID> planned =
                        plans.ofOpen(owner).stream().map(Planned::followUpId).collect(Collectors.toSet());
                yield followUps(owner, each -> Overlooked.isUndated(each, planned, today));
            }
            case WITH_ME -> withMe(owner);
            case PROMISED -> promised(me);
            case UNCHASED -> unchased(owner);
            case LATE -> followUps(owner, each -> Overlooked.isLate(each, now));
            case PUT_OFF -> putOff(owner, today);
            case LAST_WEEK -> meetings(me, today.minusDays(DAYS_BACK), today, true);
            case NEXT_WEEKS -> meetings(me, today, today.plusDays(DAYS_AHEAD), false);
            case OWED -> owed(owner);
            case UNUSED -> unused(owner);
            case RECIPES -> habits(owner);
            case HANDED -> handed(owner);
            case AHEAD -> List.of();
        };
    }

    private List<RoundLine> intake(UUID owner, LocalDate today) {
        return Stream.of(Heap.values())
                .flatMap(heap -> messages.intake(owner, heap, today, MOST).stream())
                .map(RoundSteps::message)
                .limit(MOST)
                .toList();
    }

    private static RoundLine message(IntakeRow row) {
        return RoundLine.of(
                        RoundLine.Kind.MESSAGE,
                        "m:" + row.id(),
                        row.id().toString(),
                        row.subject().isBlank() ? row.beginning() : row.subject())
                .from(new Party(row.fromName(), row.fromAddress()).displayName(), words(row.ask()))
                .when(row.sentAt(), row.putOffUntil() == null ? row.replyDay() : row.putOffUntil())
                .in(row.threadId(), row.id());
    }

    private List<RoundLine> followUps(UUID owner, Predicate<FollowUp> wanted) {
        return followUps.open(owner).stream()
                .filter(wanted)
                .sorted(Comparator.comparing(FollowUp::replyDay, Comparator.nullsLast(Comparator.naturalOrder()))
                        .thenComparing(FollowUp::createdAt))
                .map(RoundSteps::followUp)
                .limit(MOST)
                .toList();
    }

    private static RoundLine followUp(FollowUp one) {
        return RoundLine.of(RoundLine.Kind.FOLLOW_UP, "f:" + one.id(), one.id().toString(), one.title())
                .from(
                        one.people().list().stream()
                                .findFirst()
                                .map(Party::displayName)
                                .orElse(""),
                        "")
                .when(one.createdAt(), one.replyDay() == null ? one.startDay() : one.replyDay())
                .counted(0, one.categoryId(), 0);
    }

    private List<RoundLine> withMe(UUID owner) {
        List<StoredThread> found = threads.byTurn(owner, Turn.WITH_ME, 0, MOST);
        if (found.isEmpty()) {
            return List.of();
        }
        Set<UUID> followed = threads
                .followUps(owner, found.stream().map(StoredThread::id).toList())
                .stream()
                .filter(each -> each.open() > 0)
                .map(ThreadFollowUps::threadId)
                .collect(Collectors.toSet());
        return found.stream()
                .filter(thread -> !followed.contains(thread.id()))
                .flatMap(thread -> thread.debts().list().stream()
                        // What I promised unasked has a step of its own.
                        .filter(debt -> debt.reason() != Debt.Reason.PROMISED)
                        .min(Comparator.comparing(Debt::since))
                        .map(debt -> debt(thread, debt))
                        .stream())
                .toList();
    }

    private static RoundLine debt(StoredThread thread, Debt debt) {
        return RoundLine.of(
                        RoundLine.Kind.THREAD, "t:" + thread.id(), thread.id().toString(), thread.subject())
                .from(debt.to().displayName(), words(debt.what()))
                .when(debt.since(), debt.by().map(LocalDateTime::toLocalDate).orElse(null))
                .in(thread.id(), debt.messageId())
                .titled(Beginning.of(
                        "Answer " + debt.to().shortName() + (debt.what().isBlank() ? "" : ": " + words(debt.what())),
                        LONGEST_WORDS));
    }

    private List<RoundLine> promised(SignedIn me) {
        return promises.open(me).stream()
                .filter(each -> each.followUps() == 0)
                .map(each -> RoundLine.of(
                                RoundLine.Kind.PROMISE,
                                "p:" + each.promise().in(),
                                each.thread().id().toString(),
                                each.thread().subject())
                        .from(each.to().displayName(), words(each.promise().words()))
                        .when(
                                each.promise().at(),
                                each.debt().by().map(LocalDateTime::toLocalDate).orElse(null))
                        .in(each.thread().id(), each.debt().messageId())
                        .titled(PromiseTitle.of(
                                each.promise().words(), each.debt().what(), each.to())))
                .toList();
    }

    private List<RoundLine> unchased(UUID owner) {
        return threads.byTurn(owner, Turn.WITH_OTHERS, 0, MOST).stream()
                .filter(thread -> thread.chaseOn() == null && thread.chaseHand() == null)
                .flatMap(thread -> thread.awaited().list().stream()
                        .min(Comparator.comparing(Awaited::since))
                        .map(one -> RoundLine.of(
                                        RoundLine.Kind.THREAD,
                                        "w:" + thread.id(),
                                        thread.id().toString(),
                                        thread.subject())
                                .from(one.party().displayName(), words(one.what()))
                                .when(one.since(), null)
                                .in(thread.id(), one.messageId()))
                        .stream())
                .toList();
    }

    private List<RoundLine> putOff(UUID owner, LocalDate today) {
        List<RoundLine> all = new ArrayList<>(followUps(owner, each -> Overlooked.isPutOffLong(each, today)));
        messages.putOffBeyond(owner, today.plusDays(Overlooked.LONG_DAYS)).stream()
                .map(RoundSteps::message)
                .forEach(all::add);
        return all;
    }

    /** @param back the last first, else the next first */
    private List<RoundLine> meetings(SignedIn me, LocalDate first, LocalDate last, boolean back) {
        Instant now = clock.instant();
        Comparator<Meeting> order = Comparator.comparing(Meeting::fromInclusive);
        return calendars.days(me.accountId(), first, last).meetings().stream()
                .filter(Meeting::opaque)
                .filter(meeting -> back == meeting.fromInclusive().isBefore(now))
                .sorted(back ? order.reversed() : order)
                .map(meeting -> RoundLine.of(
                                RoundLine.Kind.MEETING,
                                "e:" + meeting.uid() + "@"
                                        + meeting.fromInclusive().getEpochSecond(),
                                meeting.uid(),
                                meeting.title())
                        .from(meeting.place(), "")
                        .when(meeting.fromInclusive(), LocalDate.ofInstant(meeting.fromInclusive(), me.zoneId()))
                        .titled(meeting.title()))
                .limit(MOST)
                .toList();
    }

    private List<RoundLine> owed(UUID owner) {
        Map<String, GroupedThread> people = new LinkedHashMap<>();
        threads.byPerson(owner, true, 0, MOST).forEach(each -> people.putIfAbsent(each.key(), each));
        return people.values().stream()
                .map(each -> RoundLine.of(RoundLine.Kind.PERSON, "o:" + each.key(), each.key(), each.title())
                        .counted(each.size(), null, 0))
                .toList();
    }

    private List<RoundLine> unused(UUID owner) {
        Set<UUID> used =
                new HashSet<>(figures.categoriesEnded(owner, clock.instant().minus(UNUSED_FOR)));
        followUps
                .open(owner)
                .forEach(each -> Optional.ofNullable(each.categoryId()).ifPresent(used::add));
        return categories.of(owner).stream()
                .filter(each -> each.retiredAt() == null && !used.contains(each.id()))
                .map(RoundSteps::category)
                .toList();
    }

    private static RoundLine category(Category one) {
        return RoundLine.of(RoundLine.Kind.CATEGORY, "c:" + one.id(), one.id().toString(), one.name())
                .counted(0, one.id(), one.version());
    }

    private List<RoundLine> habits(UUID owner) {
        Instant now = clock.instant();
        return habits.of(owner, figures.decided(owner, now.minus(UNUSED_FOR), now)).stream()
                .map(each -> RoundLine.of(
                                each.decision() == Decision.NOTHING
                                        ? RoundLine.Kind.HABIT_LET_GO
                                        : RoundLine.Kind.HABIT_FOLLOW_UP,
                                "r:" + each.party(),
                                each.party(),
                                each.name().isEmpty() ? each.party() : each.name())
                        .from(each.list() ? "list" : "", "")
                        .counted(each.decisions(), each.categoryId(), 0))
                .toList();
    }

    private List<RoundLine> handed(UUID owner) {
        List<HandOver> open = handOvers.given(owner, MOST).stream()
                .filter(each -> each.state().isOpen())
                .toList();
        if (open.isEmpty()) {
            return List.of();
        }
        Map<UUID, StoredMessage> messageOf =
                messages.byIds(owner, open.stream().map(HandOver::giverMessage).toList()).stream()
                        .collect(Collectors.toMap(StoredMessage::id, Function.identity()));
        return open.stream()
                .flatMap(each ->
                        Optional.ofNullable(messageOf.get(each.giverMessage()))
                                .map(message -> handed(each, message))
                                .stream())
                .toList();
    }

    private static RoundLine handed(HandOver one, StoredMessage message) {
        return RoundLine.of(
                        RoundLine.Kind.HAND_OVER,
                        "h:" + one.identity(),
                        message.id().toString(),
                        message.subject())
                .from(one.taker(), words(one.word()))
                .when(one.changedAt(), one.wantedDay())
                .in(message.threadId(), message.id());
    }

    private static String words(String text) {
        return Beginning.onOneLine(text, LONGEST_WORDS);
    }
}
