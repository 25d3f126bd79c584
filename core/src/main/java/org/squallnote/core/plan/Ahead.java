package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.squallnote.core.followup.FollowUp;

/**
 * The days ahead, each with what weighs on it, and whether everything that has a date fits.
 *
 * @param days those on which work is done, and others where something weighs on them
 * @param shelf what has no day at all, what matters most first
 * @param feasibility whether what is due can be done by then, however it is planned
 * @param fitting what to move so that no day holds too much
 * @param workMinutes what weighs on these days together
 */
public record Ahead(List<Day> days, List<FollowUp> shelf, Feasibility feasibility, Fitting fitting, int workMinutes) {

    /**
     * A day.
     *
     * @param freeMinutes what meetings leave of its working hours, of today what is still ahead
     */
    public record Day(LocalDate day, int freeMinutes, Glass glass, List<Entry> entries) {}

    /**
     * Something that weighs on a day.
     *
     * @param due whether it has to be done by that day
     * @param fits whether it is below the rim
     */
    public record Entry(FollowUp followUp, int minutes, boolean due, boolean planned, boolean fits) {}

    /** Copies the lists. */
    public Ahead {
        days = List.copyOf(days);
        shelf = List.copyOf(shelf);
    }

    /** A follow-up with what it asks of the days. */
    private record Weight(FollowUp followUp, Work work) {}

    /** Works the days out. */
    public static Ahead of(Horizon horizon) {
        List<Room> rooms = horizon.rooms();
        DayOrder order = new DayOrder(horizon.freeTime(), horizon.now());
        List<Work> works = new ArrayList<>();
        Map<LocalDate, List<Weight>> byDay = new HashMap<>();
        List<FollowUp> shelf = new ArrayList<>();
        for (FollowUp each : order.byRule(horizon.open(), horizon.minutesLeft())) {
            Work work = horizon.work(each);
            works.add(work);
            Optional<LocalDate> day = work.day();
            if (day.isPresent()) {
                byDay.computeIfAbsent(day.get(), d -> new ArrayList<>()).add(new Weight(each, work));
            } else if (!each.isLater(horizon.today())) {
                shelf.add(each);
            }
        }
        List<Day> days = rooms.stream()
                .filter(room -> horizon.workingTime().isWorkingDay(room.day()) || byDay.containsKey(room.day()))
                .map(room -> day(horizon, room, byDay.getOrDefault(room.day(), List.of())))
                .toList();
        return new Ahead(
                days,
                shelf,
                Feasibility.of(rooms, works),
                Fitting.of(rooms, works),
                days.stream().mapToInt(day -> day.glass().plannedMinutes()).sum());
    }

    private static Day day(Horizon horizon, Room room, List<Weight> weights) {
        Glass glass = Glass.of(
                room.minutes(),
                weights.stream().map(weight -> weight.work().minutes()).toList());
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < weights.size(); i++) {
            Work work = weights.get(i).work();
            entries.add(new Entry(
                    weights.get(i).followUp(),
                    work.minutes(),
                    work.due().filter(room.day()::equals).isPresent(),
                    work.planned().isPresent(),
                    glass.fits().get(i)));
        }
        return new Day(room.day(), horizon.freeTime().freeMinutes(room.day(), horizon.now()), glass, entries);
    }
}
