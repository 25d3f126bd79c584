package org.squallnote.core.todo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;

/**
 * What a follow-up and its task say together, after both were changed.
 *
 * @param todo what both are to say
 * @param clashes what was changed on both sides, each with what the other side said: it stands in the note, so that it is
 *     not lost
 */
public record Merged(Todo todo, List<String> clashes) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.UK);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("EEE d MMM uuuu HH:mm", Locale.UK);

    /** Copies the list. */
    public Merged {
        clashes = List.copyOf(clashes);
    }

    /**
     * Takes from each side what it has changed. What both have changed otherwise is as the follow-up says it.
     *
     * @param base what both said last; absent where they never met
     * @param where what the task list is called
     * @param zone in which moments are named
     */
    public static Merged of(Optional<Todo> base, Todo mine, Todo theirs, String where, ZoneId zone) {
        return new Merging(base, mine, theirs).merge(where, zone);
    }

    private static final class Merging {

        private final Optional<Todo> base;
        private final Todo mine;
        private final Todo theirs;
        private final List<String> clashes = new ArrayList<>();

        Merging(Optional<Todo> base, Todo mine, Todo theirs) {
            this.base = base;
            this.mine = mine;
            this.theirs = theirs;
        }

        Merged merge(String where, ZoneId zone) {
            String title = pick(Todo::title, said -> "“" + said + "”");
            Due due = pick(Due::of, said -> said.words(zone));
            LocalDate start = pick(
                            todo -> Optional.ofNullable(todo.startDay()),
                            said -> said.map(day -> "not before " + DAY.format(day))
                                    .orElse("at any time"))
                    .orElse(null);
            Todo merged = new Todo(
                    title,
                    due.day().orElse(null),
                    due.at().orElse(null),
                    startInTime(start, due, zone),
                    pick(Todo::priority, said -> "priority " + said.name().toLowerCase(Locale.ROOT)),
                    state(),
                    "",
                    pick(Todo::category, said -> said.isEmpty() ? "no category" : "category " + said),
                    pick(Todo::place, said -> said.isEmpty() ? "no place" : "place " + said));
            StringBuilder note = new StringBuilder(note());
            if (!clashes.isEmpty()) {
                note.append(note.isEmpty() ? "" : "\n")
                        .append(where)
                        .append(" said: ")
                        .append(String.join("; ", clashes));
            }
            return new Merged(merged.noting(note.toString()), clashes);
        }

        /** One side may have moved the start, the other one the date before it. */
        private static @Nullable LocalDate startInTime(@Nullable LocalDate start, Due due, ZoneId zone) {
            Optional<LocalDate> last =
                    due.day().or(() -> due.at().map(at -> at.atZone(zone).toLocalDate()));
            return start != null && last.filter(day -> !start.isBefore(day)).isPresent() ? null : start;
        }

        private <T> T pick(Function<Todo, T> field, Function<T, String> words) {
            T here = field.apply(mine);
            T there = field.apply(theirs);
            if (here.equals(there) || !isChanged(field, there)) {
                return here;
            }
            if (!isChanged(field, here)) {
                return there;
            }
            clashes.add(words.apply(there));
            return here;
        }

        private <T> boolean isChanged(Function<Todo, T> field, T now) {
            return base.map(field).filter(now::equals).isEmpty();
        }

        /** What was reopened is open; what was done by one and dropped by the other is done. */
        private FollowUpState state() {
            boolean hereChanged = isChanged(Todo::state, mine.state());
            boolean thereChanged = isChanged(Todo::state, theirs.state());
            if (hereChanged && thereChanged && base.isPresent()) {
                return mine.state().compareTo(theirs.state()) <= 0 ? mine.state() : theirs.state();
            }
            // Who never met: what has ended on one side has ended.
            if (base.isEmpty()) {
                return mine.state() == FollowUpState.OPEN ? theirs.state() : mine.state();
            }
            return thereChanged ? theirs.state() : mine.state();
        }

        private String note() {
            String here = mine.note();
            String there = theirs.note();
            if (!isChanged(Todo::note, there)) {
                return here;
            }
            if (!isChanged(Todo::note, here) || there.contains(here)) {
                return there;
            }
            return here.contains(there) ? here : here + "\n\n" + there;
        }
    }

    /** When something is due; at most one of both. */
    private record Due(Optional<LocalDate> day, Optional<Instant> at) {

        static Due of(Todo todo) {
            return new Due(Optional.ofNullable(todo.dueDay()), Optional.ofNullable(todo.dueAt()));
        }

        String words(ZoneId zone) {
            return day.map(DAY::format)
                    .or(() -> at.map(moment -> MOMENT.format(moment.atZone(zone))))
                    .map(said -> "reply by " + said)
                    .orElse("no reply-by date");
        }
    }
}
