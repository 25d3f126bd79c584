package org.squallnote.core.followup;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.time.WorkingTime;

/**
 * What I ask somebody in an answer, as a follow-up that waits for it.
 *
 * @param sentence the first sentence that asks
 * @param day by when an answer is expected
 */
public record AskedBack(
        String sentence,
        String title,
        LocalDate day,
        @Nullable LocalTime time) {

    /** In so many working days an answer is expected where my text names no date. */
    private static final int USUAL_DAYS = 3;

    private static final int LONGEST_SENTENCE = 200;

    /**
     * What is asked; absent when nothing is.
     *
     * @param mine my text, read as a message to the other
     */
    public static Optional<AskedBack> of(Reading mine, Party other, WorkingTime workingTime, LocalDate today) {
        Optional<Deadline> by = mine.replyBy();
        return mine.asks().stream().findFirst().map(ask -> {
            String sentence = shown(ask, mine);
            return new AskedBack(
                    sentence,
                    "Hear from " + other.shortName() + ": " + sentence,
                    by.map(Deadline::day).orElseGet(() -> workingTime.addWorkingDays(today, USUAL_DAYS)),
                    by.flatMap(Deadline::time).orElse(null));
        });
    }

    private static String shown(Ask ask, Reading mine) {
        String sentence = ask.sentence().foldedIn(mine.words().text());
        return Beginning.of(sentence, LONGEST_SENTENCE);
    }
}
