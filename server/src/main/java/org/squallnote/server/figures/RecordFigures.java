package org.squallnote.server.figures;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.category.Category;
import org.squallnote.core.figures.DecidedFact;
import org.squallnote.core.figures.EndedFact;
import org.squallnote.core.figures.Figures;
import org.squallnote.core.thread.PartyCount;
import org.squallnote.core.time.DaySpan;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.figures.FiguresStore;

/** Makes the figures of some days. */
@Component
class RecordFigures {

    private static final int USUAL_WEEKS = 12;
    private static final int MOST_DAYS = 370;

    private final FiguresStore store;
    private final CategoryStore categories;
    private final RecipeHabits habits;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    RecordFigures(
            FiguresStore store, CategoryStore categories, RecipeHabits habits, WorkingTimes workingTimes, Clock clock) {
        this.store = store;
        this.categories = categories;
        this.habits = habits;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * Figures; lengths are working time in minutes, weeks are named by their Monday.
     *
     * @param minutesOfADay how much working time a day has, in which lengths are told
     * @param ages of the threads that are open now, whenever they began
     */
    record FiguresView(
            LocalDate from,
            LocalDate to,
            int minutesOfADay,
            Figures.Responses responses,
            Figures.Punctuality punctuality,
            List<Figures.WeekFlow> flow,
            List<Figures.OfAge> ages,
            List<Figures.Others> others,
            List<Figures.Effort> efforts,
            List<Figures.Habit> habits) {}

    FiguresView of(SignedIn me, @Nullable LocalDate from, @Nullable LocalDate to) {
        UUID owner = me.accountId();
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        LocalDate last = to == null ? today : to;
        LocalDate first = from == null
                ? last.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(USUAL_WEEKS)
                : from;
        DaySpan days = new DaySpan(first, last);
        if (days.isBackwards()) {
            throw Refusal.field("to", "The last day is before the first one. Choose a later one.");
        }
        if (days.isLongerThan(MOST_DAYS)) {
            throw Refusal.field("from", "At most a year at a time: choose a later first day.");
        }
        WorkingTime workingTime = workingTimes.of(owner);
        Instant begin = first.atStartOfDay(me.zoneId()).toInstant();
        Instant end = last.plusDays(1).atStartOfDay(me.zoneId()).toInstant();
        List<EndedFact> ended = store.ended(owner, begin, end);
        List<DecidedFact> decided = store.decided(owner, begin, end);
        Map<UUID, Category> known =
                categories.of(owner).stream().collect(Collectors.toMap(Category::id, Function.identity()));
        return new FiguresView(
                first,
                last,
                workingTime.minutesOfADay(),
                Figures.responses(store.asks(owner, begin, end), first, last, workingTime),
                Figures.punctuality(ended, first, last, workingTime),
                Figures.flow(
                        store.cameIn(owner, begin, end),
                        decided.stream().map(DecidedFact::decidedAt).toList(),
                        ended.stream().map(EndedFact::endedAt).toList(),
                        first,
                        last,
                        workingTime),
                Figures.ages(
                        store.openSince(owner, Turn.WITH_ME),
                        store.openSince(owner, Turn.WITH_OTHERS),
                        today,
                        workingTime),
                Figures.others(
                        store.answers(owner, begin, end),
                        store.waiting(owner).stream().collect(Collectors.toMap(PartyCount::party, PartyCount::threads)),
                        workingTime),
                Figures.efforts(ended, store.worked(owner, begin, end), known),
                habits.of(owner, decided));
    }
}
