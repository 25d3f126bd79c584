package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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

    /** Works the days out. */
    public static Ahead of(Horizon horizon) {
        List<Room> rooms = horizon.rooms();
        List<Work> works = horizon.open().stream().map(horizon::work).toList();
        Map<UUID, Work> byId = new HashMap<>();
        works.forEach(work -> byId.put(work.id(), work));
        Map<LocalDate, List<FollowUp>> byDay = new HashMap<>();
        List<FollowUp> shelf = new ArrayList<>();
        DayOrder order = new DayOrder(horizon.freeTime(), horizon.now());
        for (FollowUp each : order.byRule(horizon.open(), Map.of())) {
            Optional<LocalDate> day = horizon.work(each).day();
            if (day.isPresent()) {
                byDay.computeIfAbsent(day.get(), d -> new ArrayList<>()).add(each);
            } else if (!each.isLater(horizon.today())) {
                shelf.add(each);
            }
        }
        List<Day> days = new ArrayList<>();
        for (Room room : rooms) {
            List<FollowUp> onDay = byDay.getOrDefault(room.day(), List.of());
            if (horizon.workingTime().isWorkingDay(room.day()) || !onDay.isEmpty()) {
                days.add(day(horizon, room, onDay, byId));
            }
        }
        return new Ahead(
                days,
                shelf.stream().sorted(Comparator.comparing(FollowUp::priority)).toList(),
                Feasibility.of(rooms, works),
                Fitting.of(rooms, works),
                days.stream().mapToInt(day -> day.glass().plannedMinutes()).sum());
    }

    private static Day day(Horizon horizon, Room room, List<FollowUp> onDay, Map<UUID, Work> byId) {
        List<Work> works = onDay.stream()
                .flatMap(each -> Optional.ofNullable(byId.get(each.id())).stream())
                .toList();
        Glass glass = Glass.of(room.minutes(), works.stream().map(Work::minutes).toList());
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < works.size(); i++) {
            Work work = works.get(i);
            entries.add(new Entry(
                    onDay.get(i),
                    work.minutes(),
                    work.due().filter(room.day()::equals).isPresent(),
                    work.planned().isPresent(),
                    glass.fits().get(i)));
        }
        return new Day(room.day(), horizon.freeTime().freeMinutes(room.day(), horizon.now()), glass, entries);
    }
}
