package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;

/**
 * What to move so that no day holds more than it has room for. Nothing moves past its own reply-by date or to a day that
 * has no room for it, and no move is without need: were it left out, its day would hold too much.
 *
 * @param moves in the order in which they are proposed
 * @param over what is still too much on a day after them, in minutes; days where all fits are missing
 */
public record Fitting(List<Move> moves, Map<LocalDate, Integer> over) {

    /** One thing from a day to another. */
    public record Move(UUID id, LocalDate from, LocalDate to) {}

    /** Flexible before firm, low priority first, latest reply-by first, then what takes longest. */
    private static final Comparator<Work> WHAT_MOVES_FIRST = Comparator.comparing(Work::firm)
            .thenComparing(Work::priority, Comparator.reverseOrder())
            .thenComparing(work -> work.due().orElse(LocalDate.MAX), Comparator.reverseOrder())
            .thenComparing(Work::minutes, Comparator.reverseOrder())
            .thenComparing(Work::id);

    /** Copies the moves. */
    public Fitting {
        moves = List.copyOf(moves);
        over = Collections.unmodifiableMap(new TreeMap<>(over));
    }

    /**
     * Finds the moves.
     *
     * @param rooms one for each day, in a row, from today on; nothing moves beyond them
     * @param works what weighs on a day; the rest is left alone
     */
    public static Fitting of(List<Room> rooms, List<Work> works) {
        return new Search(rooms, works).run();
    }

    private static final class Search {

        private final Map<LocalDate, Integer> left = new TreeMap<>();
        private final Map<LocalDate, List<Work>> onDay = new HashMap<>();
        private final Map<UUID, Work> byId = new HashMap<>();
        private final List<Move> moves = new ArrayList<>();

        Search(List<Room> rooms, List<Work> works) {
            rooms.forEach(room -> left.put(room.day(), room.minutes()));
            for (Work work : works) {
                Optional<LocalDate> day = work.day().filter(left::containsKey);
                if (day.isPresent()) {
                    left.merge(day.get(), -work.minutes(), Integer::sum);
                    onDay.computeIfAbsent(day.get(), d -> new ArrayList<>()).add(work);
                    byId.put(work.id(), work);
                }
            }
        }

        Fitting run() {
            for (LocalDate day : List.copyOf(left.keySet())) {
                relieve(day);
            }
            takeBackWhatIsNotNeeded();
            Map<LocalDate, Integer> over = new TreeMap<>();
            left.forEach((day, minutes) -> {
                if (minutes < 0) {
                    over.put(day, -minutes);
                }
            });
            return new Fitting(moves, over);
        }

        private void relieve(LocalDate day) {
            List<Work> candidates = onDay.getOrDefault(day, List.of()).stream()
                    .filter(work -> !work.fixed())
                    .sorted(WHAT_MOVES_FIRST)
                    .toList();
            for (Work work : candidates) {
                if (room(day) >= 0) {
                    return;
                }
                firstRoomFor(work, day).ifPresent(to -> move(new Move(work.id(), day, to)));
            }
        }

        private Optional<LocalDate> firstRoomFor(Work work, LocalDate now) {
            return left.entrySet().stream()
                    .filter(day -> !day.getKey().equals(now)
                            && !day.getKey().isBefore(work.earliest())
                            && work.due().map(due -> !day.getKey().isAfter(due)).orElse(true)
                            && day.getValue() >= work.minutes())
                    .map(Map.Entry::getKey)
                    .findFirst();
        }

        private void move(Move move) {
            shift(move.id(), move.from(), move.to());
            moves.add(move);
        }

        private void shift(UUID id, LocalDate from, LocalDate to) {
            int minutes = minutes(id);
            left.merge(from, minutes, Integer::sum);
            left.merge(to, -minutes, Integer::sum);
        }

        /** What was moved first may turn out to have been too little alone, and more than enough with what came after. */
        private void takeBackWhatIsNotNeeded() {
            boolean changed = true;
            while (changed) {
                changed = moves.removeIf(move -> {
                    boolean needless = room(move.from()) >= minutes(move.id());
                    if (needless) {
                        shift(move.id(), move.to(), move.from());
                    }
                    return needless;
                });
            }
        }

        private int room(LocalDate day) {
            return left.getOrDefault(day, 0);
        }

        private int minutes(UUID id) {
            return Optional.ofNullable(byId.get(id)).map(Work::minutes).orElse(0);
        }
    }
}
