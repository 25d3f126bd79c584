package org.squallnote.core.reminder;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.WorkingTime;

/**
 * When somebody looks at what has come, and what they want to know of in between.
 *
 * @param sittings the times of the day at which they do, in order; none for at all times
 * @param whileWorking whether nothing new is told while they work at a follow-up
 * @param fromPeople addresses and domains of those who are told of at once, lower case
 * @param words that are told of at once, lower case
 */
public record Quiet(List<LocalTime> sittings, boolean whileWorking, List<String> fromPeople, List<String> words) {

    /** Everything is told at once. */
    public static final Quiet NEVER = new Quiet(List.of(), false, List.of(), List.of());

    /** Copies the lists. */
    public Quiet {
        sittings = sittings.stream().sorted().distinct().toList();
        fromPeople = List.copyOf(fromPeople);
        words = List.copyOf(words);
    }

    /**
     * Since when what comes is held back.
     *
     * @param workingSince since when they work at something, absent when they do not
     * @return absent when nothing is held back
     */
    public Optional<LocalDateTime> heldSince(
            LocalDateTime now, Optional<LocalDateTime> workingSince, WorkingTime workingTime) {
        Optional<LocalDateTime> sitting = lastSitting(now, workingTime);
        Optional<LocalDateTime> work = whileWorking ? workingSince : Optional.empty();
        if (sitting.isPresent() && work.isPresent()) {
            return work.get().isBefore(sitting.get()) ? work : sitting;
        }
        return sitting.or(() -> work);
    }

    private Optional<LocalDateTime> lastSitting(LocalDateTime now, WorkingTime workingTime) {
        if (sittings.isEmpty()) {
            return Optional.empty();
        }
        LocalDate today = now.toLocalDate();
        if (workingTime.isWorkingDay(today)) {
            for (int i = sittings.size() - 1; i >= 0; i--) {
                if (!sittings.get(i).isAfter(now.toLocalTime())) {
                    return Optional.of(today.atTime(sittings.get(i)));
                }
            }
        }
        LocalDate before = workingTime.onOrBefore(today.minusDays(1));
        return Optional.of(before.atTime(sittings.get(sittings.size() - 1)));
    }

    /** When they look the next time; absent where nothing is held back by the time of the day. */
    public Optional<LocalDateTime> nextSitting(LocalDateTime now, WorkingTime workingTime) {
        if (sittings.isEmpty()) {
            return Optional.empty();
        }
        LocalDate today = now.toLocalDate();
        if (workingTime.isWorkingDay(today)) {
            for (LocalTime sitting : sittings) {
                if (sitting.isAfter(now.toLocalTime())) {
                    return Optional.of(today.atTime(sitting));
                }
            }
        }
        return Optional.of(workingTime.onOrAfter(today.plusDays(1)).atTime(sittings.get(0)));
    }

    /** Whether somebody wants to know of a message at once. */
    public boolean letsThrough(@Nullable String address, String... texts) {
        String from = address == null ? "" : address.toLowerCase(Locale.ROOT);
        for (String person : fromPeople) {
            if (from.equals(person) || from.endsWith("@" + person)) {
                return true;
            }
        }
        for (String text : texts) {
            String said = text.toLowerCase(Locale.ROOT);
            if (words.stream().anyMatch(said::contains)) {
                return true;
            }
        }
        return false;
    }
}
