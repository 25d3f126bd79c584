package org.squallnote.core.time;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The reply-by dates that are offered before anybody opens a calendar. */
public final class QuickChoices {

    /** The proposal when nothing says otherwise, in working days. */
    public static final int DEFAULT_WORKING_DAYS = 2;

    /**
     * A date on offer.
     *
     * @param label what it is called
     * @param day the date it stands for
     */
    public record Choice(String label, LocalDate day) {}

    private QuickChoices() {}

    /** The choices on a day, in the order of their dates, no date twice. */
    public static List<Choice> on(LocalDate today, WorkingTime workingTime) {
        LocalDate endOfWeek = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
        List<Choice> all = List.of(
                new Choice("Today", today),
                new Choice("Next working day", workingTime.addWorkingDays(today, 1)),
                new Choice("In two working days", workingTime.addWorkingDays(today, DEFAULT_WORKING_DAYS)),
                new Choice("End of this week", workingTime.onOrBefore(endOfWeek)),
                new Choice("Start of next week", workingTime.onOrAfter(endOfWeek.plusDays(1))),
                new Choice("In two weeks", workingTime.onOrAfter(today.plusWeeks(2))));
        List<Choice> offered = new ArrayList<>();
        for (Choice choice : all) {
            boolean ahead = !choice.day().isBefore(today);
            if (ahead && offered.stream().noneMatch(other -> other.day().equals(choice.day()))) {
                offered.add(choice);
            }
        }
        offered.sort(Comparator.comparing(Choice::day));
        return List.copyOf(offered);
    }
}
