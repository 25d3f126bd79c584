package org.squallnote.core.dates;

import java.util.Optional;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.SentenceSplitter;

/** A date as somebody types it into a field: "fri", "in 3 days", "end of month noon", "12/3". */
public final class TypedDate {

    /** Longer input is no date. */
    private static final int LONGEST = 80;

    private static final Pattern BARE_HOUR = Pattern.compile(" (\\d{1,2})$");

    private TypedDate() {}

    /**
     * The day, with its time where one was typed, absent when the words name none or one that has passed.
     *
     * @param typed what stands in the field; words before the date are allowed, words after it are not
     */
    public static Optional<DatePhrase> read(String typed, DateContext context) {
        if (typed.isBlank() || typed.length() > LONGEST) {
            return Optional.empty();
        }
        String words = typed.strip();
        // Behind "by" a bare hour is a time, and "3 days" means within them.
        return dateIn("by " + words, context)
                .or(() -> dateIn("within " + words, context))
                .or(() -> dateIn(BARE_HOUR.matcher("by " + words).replaceFirst(" at $1"), context));
    }

    private static Optional<DatePhrase> dateIn(String words, DateContext context) {
        return SentenceSplitter.split(words).stream()
                .limit(1)
                .flatMap(sentence -> DateScanner.in(sentence, context).stream()
                        .filter(phrase -> phrase.toExclusive() == sentence.size() && phrase.form() != Form.PAST))
                .findFirst();
    }
}
