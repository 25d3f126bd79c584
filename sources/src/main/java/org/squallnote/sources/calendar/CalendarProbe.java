package org.squallnote.sources.calendar;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.squallnote.sources.ProbeStep;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Waits;

/** Tries an address step by step; nothing is changed on the server. */
public final class CalendarProbe {

    /** What the attempt found. */
    public record Result(List<ProbeStep> steps) {

        /** Copies the steps. */
        public Result {
            steps = List.copyOf(steps);
        }

        /** Whether everything worked. */
        public boolean passed() {
            return steps.stream().allMatch(ProbeStep::passed);
        }
    }

    private CalendarProbe() {}

    /** Runs the test. */
    public static Result run(CalendarAccess access, Reach reach) {
        List<ProbeStep> steps = new ArrayList<>();
        String step = "Reach the address";
        try {
            CalDav dav = new CalDav(access, reach, new Waits());
            if (dav.firstWhole().isPresent()) {
                steps.add(ProbeStep.passed(step, "There is a calendar to subscribe to."));
                return new Result(steps);
            }
            steps.add(ProbeStep.passed(step, dav.start().getHost() + " answers."));
            step = "Find the calendars";
            List<FoundCalendar> calendars = dav.calendars(dav.home());
            steps.add(
                    calendars.isEmpty()
                            ? ProbeStep.failed(step, "This account has no calendar.")
                            : ProbeStep.passed(
                                    step,
                                    calendars.size() + ": "
                                            + calendars.stream()
                                                    .map(FoundCalendar::name)
                                                    .limit(10)
                                                    .collect(Collectors.joining(", "))
                                            + "."));
        } catch (CalendarProblem | IllegalArgumentException e) {
            steps.add(ProbeStep.failed(step, String.valueOf(e.getMessage())));
        }
        return new Result(steps);
    }
}
