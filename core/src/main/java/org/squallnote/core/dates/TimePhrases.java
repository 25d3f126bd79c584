package org.squallnote.core.dates;

import java.time.LocalDate;
import java.util.Optional;

/** Times of day as the rules of {@code dates.rules} find them: "3 pm", "14:30", "half past two", "noon", "this afternoon". */
record TimePhrases(DayPhrases phrases) {

    /** "by five", "at 9": an hour that only the word before makes one, and nothing after it denies. */
    Optional<DatePhrase> bareHourAt(int from) {
        return phrases.named("bare hours", from);
    }

    /** A time on the day of writing that begins at a word, whether or not it has passed. */
    Optional<DatePhrase> at(int from) {
        return phrases.named("times", from).or(() -> bareHourAt(from));
    }

    /** "morning", "afternoon" of a day that is known; an evening is the day itself. */
    Optional<DatePhrase> partOfDay(int from, LocalDate day) {
        return phrases.partOfDay(from, day);
    }
}
