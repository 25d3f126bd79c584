package org.squallnote.server.spent;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.message.Party;
import org.squallnote.core.people.Identities;
import org.squallnote.core.spent.ForgottenClock;
import org.squallnote.core.spent.SpentTime;
import org.squallnote.core.spent.TimeWishes;
import org.squallnote.core.spent.Worked;
import org.squallnote.core.time.DaySpan;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.spent.SpentStore;

/** Tells the time that was spent. */
@Component
class SpentTimes {

    private static final int MOST_DAYS = 370;
    private static final int MOST_TIMES = 10_000;

    /** No clock runs for longer before anybody sees it. */
    private static final Duration LONGEST = Duration.ofDays(100);

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.UK);

    private final SpentStore store;
    private final PlanStore plans;
    private final FollowUpStore followUps;
    private final CategoryStore categories;
    private final PeopleStore people;
    private final KeptTimeWishes wishes;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    SpentTimes(
            SpentStore store,
            PlanStore plans,
            FollowUpStore followUps,
            CategoryStore categories,
            PeopleStore people,
            KeptTimeWishes wishes,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.plans = plans;
        this.followUps = followUps;
        this.categories = categories;
        this.people = people;
        this.wishes = wishes;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * Which time is wanted.
     *
     * @param category null for all
     * @param person one of the addresses of somebody; null for everybody
     */
    record Wish(
            LocalDate from,
            LocalDate to,
            SpentTime.By by,
            @Nullable UUID category,
            @Nullable String person) {}

    /**
     * A line of it.
     *
     * @param stints what it is made of, each of which can be put right
     * @param from local time
     * @param to local time; of one under way, now
     * @param corrected whether one of them was put right by hand
     */
    record SpentLine(
            LocalDate day,
            List<UUID> stints,
            UUID followUpId,
            String title,
            @Nullable UUID categoryId,
            String category,
            String person,
            LocalDateTime from,
            LocalDateTime to,
            int minutes,
            int rounded,
            @Nullable BigDecimal amount,
            boolean running,
            boolean corrected) {}

    /** Lines that stand together. */
    record SpentGroup(
            String key,
            String title,
            List<SpentLine> lines,
            int minutes,
            int rounded,
            @Nullable BigDecimal amount) {}

    /**
     * The time of some days.
     *
     * @param amount null where nothing is billed
     * @param isRounded whether what is told differs from what was measured
     */
    record SpentView(
            LocalDate from,
            LocalDate to,
            List<SpentGroup> groups,
            int minutes,
            int rounded,
            @Nullable BigDecimal amount,
            String currency,
            boolean isRounded) {}

    /**
     * What is worked at now.
     *
     * @param forgotten whether the clock was probably left running
     * @param proposedMinutes for how long it may have been meant to run; null where it was not forgotten
     */
    record RunningClock(
            UUID stintId,
            UUID followUpId,
            String title,
            LocalDateTime from,
            int minutes,
            boolean forgotten,
            @Nullable Integer proposedMinutes,
            @Nullable LocalDateTime proposedTo) {}

    Optional<RunningClock> running(SignedIn me) {
        UUID owner = me.accountId();
        Instant now = clock.instant();
        return plans.underWay(owner)
                .flatMap(stint -> followUps.byId(owner, stint.followUpId()).map(followUp -> {
                    Optional<ForgottenClock> forgotten = ForgottenClock.of(
                            stint.startedAt(),
                            Optional.ofNullable(followUp.effortMinutes()),
                            workingTimes.of(owner),
                            now);
                    return running(me, stint.id(), followUp, stint.startedAt(), stint.minutes(now), forgotten);
                }));
    }

    private static RunningClock running(
            SignedIn me,
            UUID stintId,
            FollowUp followUp,
            Instant startedAt,
            int minutes,
            Optional<ForgottenClock> forgotten) {
        return new RunningClock(
                stintId,
                followUp.id(),
                followUp.title(),
                local(me, startedAt),
                minutes,
                forgotten.isPresent(),
                forgotten
                        .map(one -> (int) Math.max(
                                1, Duration.between(startedAt, one.proposed()).toMinutes()))
                        .orElse(null),
                forgotten.map(one -> local(me, one.proposed())).orElse(null));
    }

    SpentView view(SignedIn me, Wish wish) {
        UUID owner = me.accountId();
        DaySpan days = new DaySpan(wish.from(), wish.to());
        if (days.isBackwards()) {
            throw Refusal.field("to", "The last day is before the first one. Choose a later one.");
        }
        if (days.isLongerThan(MOST_DAYS)) {
            throw Refusal.field("from", "At most a year at a time: choose a later first day.");
        }
        Map<UUID, Category> known =
                categories.of(owner).stream().collect(Collectors.toMap(Category::id, Function.identity()));
        TimeWishes chosen = wishes.of(owner);
        SpentTime time =
                SpentTime.of(worked(me, wish), wish.from(), wish.to(), wish.by(), chosen, me.zoneId(), clock.instant());
        return new SpentView(
                wish.from(),
                wish.to(),
                time.groups().stream()
                        .map(group -> group(me, group, wish.by(), known))
                        .toList(),
                time.minutes(),
                time.rounded(),
                time.amount(),
                chosen.currency(),
                chosen.rounding().minutes() > 1);
    }

    private Collection<Worked> worked(SignedIn me, Wish wish) {
        Instant from = wish.from().atStartOfDay(me.zoneId()).toInstant();
        Instant to = wish.to().plusDays(1).atStartOfDay(me.zoneId()).toInstant();
        List<Worked> all = store.worked(me.accountId(), from.minus(LONGEST), from, to, MOST_TIMES + 1);
        if (all.size() > MOST_TIMES) {
            throw Refusal.field("from", "These are more than " + MOST_TIMES + " times: choose fewer days.");
        }
        Set<String> addresses = wish.person() == null
                ? Set.of()
                : Set.copyOf(Identities.of(people.addresses(me.accountId())).addresses(wish.person()));
        return all.stream()
                .filter(each -> wish.category() == null || wish.category().equals(each.categoryId()))
                .filter(each -> addresses.isEmpty()
                        || each.people().list().stream().map(Party::address).anyMatch(addresses::contains))
                .toList();
    }

    private static SpentGroup group(SignedIn me, SpentTime.Group group, SpentTime.By by, Map<UUID, Category> known) {
        SpentTime.Line first = group.lines().get(0);
        String title = switch (by) {
            case DAY -> DAY.format(first.day());
            case CATEGORY -> name(known, first.categoryId(), "Without a category");
            case PERSON ->
                first.person() == null ? "For nobody named" : first.person().displayName();
            case FOLLOW_UP -> first.title();
        };
        return new SpentGroup(
                group.key(),
                title,
                group.lines().stream().map(line -> line(me, line, known)).toList(),
                group.minutes(),
                group.rounded(),
                group.amount());
    }

    private static SpentLine line(SignedIn me, SpentTime.Line line, Map<UUID, Category> known) {
        return new SpentLine(
                line.day(),
                line.stints(),
                line.followUpId(),
                line.title(),
                line.categoryId(),
                name(known, line.categoryId(), ""),
                line.person() == null ? "" : line.person().displayName(),
                local(me, line.from()),
                local(me, line.to()),
                line.minutes(),
                line.rounded(),
                line.amount(),
                line.running(),
                line.corrected());
    }

    private static String name(Map<UUID, Category> known, @Nullable UUID id, String otherwise) {
        return Optional.ofNullable(id)
                .flatMap(each -> Optional.ofNullable(known.get(each)))
                .map(Category::name)
                .orElse(otherwise);
    }

    private static LocalDateTime local(SignedIn me, Instant moment) {
        return LocalDateTime.ofInstant(moment, me.zoneId());
    }
}
