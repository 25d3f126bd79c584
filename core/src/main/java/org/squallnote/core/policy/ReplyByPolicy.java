package org.squallnote.core.policy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.WorkingTime;

/**
 * The reply-by date on offer for a message: its explicit deadline, else a number of working days after it was sent, by
 * party, by category or by default; never after an event that the ask is for, and never before today.
 *
 * @param usualDays working days where nothing more is said
 * @param daysByParty working days by address or list
 * @param daysByCategory working days by category
 */
public record ReplyByPolicy(int usualDays, Map<String, Integer> daysByParty, Map<UUID, Integer> daysByCategory) {

    /** Two working days for everybody. */
    public static final ReplyByPolicy USUAL = new ReplyByPolicy(2, Map.of(), Map.of());

    /** The most working days that make sense. */
    public static final int MOST_DAYS = 90;

    /** Copies the maps and checks the numbers. */
    public ReplyByPolicy {
        daysByParty = Map.copyOf(daysByParty);
        daysByCategory = Map.copyOf(daysByCategory);
        if (usualDays < 0 || usualDays > MOST_DAYS) {
            throw new IllegalArgumentException("A reply takes between 0 and " + MOST_DAYS + " working days");
        }
    }

    /**
     * A date on offer.
     *
     * @param day the day
     * @param time the time, absent where the whole day will do
     * @param firm whether the other side set it
     * @param why one short clause
     */
    public record Proposal(LocalDate day, Optional<LocalTime> time, boolean firm, String why) {}

    /**
     * What is proposed.
     *
     * @param text the text that the reading's spans point into
     * @param subject the subject, for a deadline that stands there
     * @param party the address of the writer, or of the list
     * @param category the category that is proposed, where there is one
     * @param sentAt when the message was sent, in the reader's time zone
     * @param now the present moment, in the same zone
     */
    public Proposal propose(
            Reading reading,
            String text,
            String subject,
            String party,
            Optional<UUID> category,
            LocalDateTime sentAt,
            LocalDateTime now,
            WorkingTime workingTime) {
        Optional<Deadline> deadline = reading.replyBy().or(reading::hintedReplyBy);
        if (deadline.isPresent() && !deadline.get().end().isBefore(now)) {
            return ofDeadline(deadline.get(), deadline.get().inSubject() ? subject : text, workingTime);
        }
        Counted counted = counted(party, category);
        LocalDate today = now.toLocalDate();
        LocalDate day = workingTime.addWorkingDays(sentAt.toLocalDate(), counted.days());
        String why = counted.why();
        if (day.isBefore(today)) {
            day = workingTime.onOrAfter(today);
            why = deadline.isPresent()
                    ? "its date, \u201c" + quoted(deadline.get(), text, subject) + "\u201d, has passed"
                    : "it has waited longer than " + counted.name();
        }
        return notAfterEvent(new Proposal(day, Optional.empty(), false, why), reading, text, today, workingTime);
    }

    private static Proposal ofDeadline(Deadline deadline, String source, WorkingTime workingTime) {
        String words = deadline.words().foldedIn(source);
        if (deadline.time().isPresent() && !workingTime.isWorkingDay(deadline.day())) {
            LocalDateTime moment = workingTime.lastWorkingMomentUpTo(
                    deadline.day().atTime(deadline.time().get()));
            return new Proposal(
                    moment.toLocalDate(),
                    Optional.of(moment.toLocalTime()),
                    deadline.firm(),
                    "the last working hours before \u201c" + words + "\u201d");
        }
        return new Proposal(deadline.day(), deadline.time(), deadline.firm(), "\u201c" + words + "\u201d");
    }

    private static String quoted(Deadline deadline, String text, String subject) {
        return deadline.words().foldedIn(deadline.inSubject() ? subject : text);
    }

    private static Proposal notAfterEvent(
            Proposal proposal, Reading reading, String text, LocalDate today, WorkingTime workingTime) {
        Optional<Deadline> event = reading.events().stream()
                .filter(one -> !one.inSubject() && !one.day().isBefore(today))
                .min(Comparator.comparing(Deadline::day))
                .filter(one -> one.day().isBefore(proposal.day()));
        if (event.isEmpty()) {
            return proposal;
        }
        LocalDate day = workingTime.onOrBefore(event.get().day());
        return new Proposal(
                day.isBefore(today) ? event.get().day() : day,
                Optional.empty(),
                proposal.firm(),
                "it is for \u201c" + event.get().words().foldedIn(text) + "\u201d");
    }

    private record Counted(int days, String why, String name) {}

    private Counted counted(String party, Optional<UUID> category) {
        Optional<Integer> byParty = Optional.ofNullable(daysByParty.get(party));
        if (byParty.isPresent()) {
            return counted(byParty.get(), "as always for this sender");
        }
        Optional<Integer> byCategory = category.map(daysByCategory::get);
        return byCategory.isPresent()
                ? counted(byCategory.get(), "as always in this category")
                : counted(usualDays, "since it names no date");
    }

    private static Counted counted(int days, String reason) {
        String name = days == 1 ? "one working day" : days + " working days";
        return new Counted(days, name + ", " + reason, name);
    }
}
