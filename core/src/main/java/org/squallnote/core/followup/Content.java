package org.squallnote.core.followup;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;

/**
 * What a follow-up is to say.
 *
 * @param priority how much it matters; null leaves that as it is, or normal
 * @param forReply whether it ends by itself when my answer is seen; null leaves that to its title
 * @param details what lies behind the sentence; null leaves it as it is, or empty
 */
public record Content(
        String title,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        @Nullable UUID categoryId,
        @Nullable Integer effortMinutes,
        @Nullable Priority priority,
        @Nullable Boolean forReply,
        @Nullable Details details) {

    /**
     * What lies behind the sentence.
     *
     * @param startDay before which it stays out of sight
     * @param place where it can be done, empty for anywhere
     */
    public record Details(
            @Nullable LocalDate startDay,
            String place,
            List<Party> people,
            List<Checklist.Item> checklist,
            String note) {

        static final Details NONE = new Details(null, "", List.of(), List.of(), "");

        /** Nothing but whom it concerns. */
        public static Details of(List<Party> people) {
            return new Details(null, "", people, List.of(), "");
        }

        Parties parties() {
            return new Parties(people.stream().distinct().toList());
        }

        Checklist steps() {
            return new Checklist(checklist.stream()
                    .map(item -> new Checklist.Item(folded(item.text()), item.done()))
                    .filter(item -> !item.text().isEmpty())
                    .toList());
        }
    }

    /**
     * The title on one line.
     *
     * @throws IllegalArgumentException when it is blank
     */
    public String usableTitle() {
        String folded = folded(title);
        if (folded.isEmpty()) {
            throw new IllegalArgumentException("A follow-up needs a title. Say in a few words what is to be done.");
        }
        return folded;
    }

    private static String folded(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }

    /** The same for a day, out of sight until another. */
    public Content on(LocalDate day, @Nullable LocalDate inSight) {
        Details kept = details == null ? Details.NONE : details;
        return new Content(
                title,
                day,
                replyTime,
                firm,
                categoryId,
                effortMinutes,
                priority,
                forReply,
                new Details(inSight, kept.place(), kept.people(), kept.checklist(), kept.note()));
    }

    /** The same in another category. */
    public Content inCategory(@Nullable UUID other) {
        return new Content(title, replyDay, replyTime, firm, other, effortMinutes, priority, forReply, details);
    }

    /** The time of the day, where there is one. */
    @Nullable
    LocalTime usableTime() {
        return replyDay == null ? null : replyTime;
    }

    Priority usablePriority() {
        return priority == null ? Priority.NORMAL : priority;
    }

    boolean endsWithAnswer() {
        return forReply == null ? ProposedTitle.endsWithAnswer(title) : forReply;
    }
}
