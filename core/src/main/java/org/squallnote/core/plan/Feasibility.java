package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whether what has to be done by each date can be done in the room there is up to it, however it is planned. Work can be
 * divided; it cannot begin before its start.
 *
 * @param days for each day how much of what is due up to it cannot be done by its end
 */
public record Feasibility(List<Shortfall> days) {

    /**
     * What cannot be done by the end of a day.
     *
     * @param minutes zero where everything fits
     */
    public record Shortfall(LocalDate day, int minutes) {}

    /** Copies the days. */
    public Feasibility {
        days = List.copyOf(days);
    }

    /**
     * Works it out.
     *
     * <p>For a date D only what is due up to D counts: doing that first is always right (earliest due date first), so
     * that what is left of it at the end of D is what piles up when each day takes as much as it has room for.
     *
     * @param rooms one for each day, in a row, from today on
     * @param works what has no date, or one after these days, does not count
     */
    public static Feasibility of(List<Room> rooms, List<Work> works) {
        int count = rooms.size();
        Map<LocalDate, Integer> index = new HashMap<>();
        for (int i = 0; i < count; i++) {
            index.put(rooms.get(i).day(), i);
        }
        // What can begin on a day and is due on another; with a row for each due date.
        int[][] begins = new int[count][];
        for (Work work : works) {
            Integer due = work.due().map(index::get).orElse(null);
            if (due != null) {
                int start = Math.min(
                        due, Optional.ofNullable(index.get(work.earliest())).orElse(count));
                if (begins[due] == null) {
                    begins[due] = new int[count];
                }
                begins[due][start] += work.minutes();
            }
        }
        int[] demand = new int[count];
        List<Shortfall> days = new ArrayList<>(count);
        for (int day = 0; day < count; day++) {
            int[] more = begins[day];
            if (more != null) {
                Arrays.setAll(demand, i -> demand[i] + more[i]);
            }
            days.add(new Shortfall(rooms.get(day).day(), leftAtTheEndOf(day, demand, rooms)));
        }
        return new Feasibility(days);
    }

    private static int leftAtTheEndOf(int last, int[] demand, List<Room> rooms) {
        int left = 0;
        for (int day = 0; day <= last; day++) {
            left = Math.max(0, left + demand[day] - rooms.get(day).minutes());
        }
        return left;
    }

    /** The first day by whose end not all can be done. */
    public Optional<Shortfall> firstShort() {
        return days.stream().filter(day -> day.minutes() > 0).findFirst();
    }

    /** How much is too much at the worst. */
    public int mostShortMinutes() {
        return days.stream().mapToInt(Shortfall::minutes).max().orElse(0);
    }

    /** The last day before the first one that does not fit; the last of all where everything fits. */
    public Optional<LocalDate> fitsUntil() {
        LocalDate until = null;
        for (Shortfall day : days) {
            if (day.minutes() > 0) {
                break;
            }
            until = day.day();
        }
        return Optional.ofNullable(until);
    }
}
