package org.squallnote.server.promise;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.PromiseTitle;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** My promises. */
@RestController
class PromiseController {

    private final Promises promises;

    PromiseController(Promises promises) {
        this.promises = promises;
    }

    /**
     * Something that I have promised.
     *
     * @param messageId the message to which it answers, else that in which I promised it
     * @param promisedIn the message in which I promised it
     * @param to whom
     * @param words the promise in my words, empty where it was no more than yes
     * @param asked what it answers, empty where nobody asked
     * @param late whether its day is over
     * @param due whether it is to be kept today
     * @param followUps how many open follow-ups there are in its thread
     * @param title what a follow-up for it is called
     * @param holding the draft of a word that it takes longer
     */
    record PromiseView(
            UUID threadId,
            UUID messageId,
            UUID promisedIn,
            String subject,
            String to,
            String words,
            String asked,
            Instant at,
            @Nullable LocalDate byDay,
            @Nullable LocalTime byTime,
            boolean late,
            boolean due,
            int followUps,
            String title,
            String holding) {}

    /** @param newDay the next working day that has room, which the drafts name */
    record PromisesView(List<PromiseView> open, LocalDate newDay, Instant now) {}

    /** What I have promised and not done yet, what is to be kept first first. */
    @GetMapping("/api/promises")
    PromisesView open(@CurrentAccount SignedIn me) {
        LocalDate newDay = promises.dayWithRoom(me);
        Instant now = promises.now();
        LocalDateTime local = LocalDateTime.ofInstant(now, me.zoneId());
        return new PromisesView(
                promises.open(me).stream()
                        .map(open -> view(open, promises.holdingReply(me, open, newDay), local))
                        .toList(),
                newDay,
                now);
    }

    private static PromiseView view(Promises.Open open, String holding, LocalDateTime now) {
        boolean unasked = open.debt().messageId().equals(open.promise().in());
        String asked = unasked ? "" : open.debt().what();
        LocalDateTime by = open.debt().by().orElse(null);
        return new PromiseView(
                open.thread().id(),
                open.debt().messageId(),
                open.promise().in(),
                open.thread().subject(),
                open.to().displayName(),
                open.promise().words(),
                asked,
                open.promise().at(),
                by == null ? null : by.toLocalDate(),
                by == null || by.toLocalTime().equals(LocalTime.MAX) ? null : by.toLocalTime(),
                open.debt().isLate(now),
                by != null && by.toLocalDate().equals(now.toLocalDate()),
                open.followUps(),
                PromiseTitle.of(open.promise().words(), asked, open.to()),
                holding);
    }
}
