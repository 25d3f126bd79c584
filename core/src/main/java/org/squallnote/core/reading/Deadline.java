package org.squallnote.core.reading;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.Span;

/**
 * A date with a role, found in a message.
 *
 * @param day the day
 * @param time the time, absent where the whole day is meant
 * @param firm whether it is stated and not softened
 * @param words where it stands in the text (or in the subject), the word that makes it a deadline included
 * @param inSubject whether it stands in the subject
 * @param because the rule by which it counts
 */
public record Deadline(
        LocalDate day, Optional<LocalTime> time, boolean firm, Span words, boolean inSubject, Reason because) {

    /** The same, flexible. */
    Deadline softened() {
        return new Deadline(day, time, false, words, inSubject, because);
    }

    /** The last moment in time. */
    public LocalDateTime end() {
        return time.map(day::atTime).orElseGet(() -> day.atTime(LocalTime.MAX));
    }
}
