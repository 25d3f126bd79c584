package org.squallnote.core.invitation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.invitation.Scheduling.Attendee;

/**
 * A meeting as all that was said of it leaves it, in whatever order that arrived: what whoever invites said last, and of each
 * invited what they said last to that.
 *
 * @param current what whoever invites said last; of a meeting that only answers are known of, absent
 * @param attendees who is invited, each as they answered
 */
public record Invitation(Optional<Said> current, List<Attendee> attendees) {

    private static final Comparator<Said> ORDER = Comparator.comparing(Said::what, Scheduling.ORDER);

    /** What a message about a meeting is worth now. */
    public enum Standing {
        /** It says how things are. */
        CURRENT,
        /** Something that was written later counts in its place. */
        OUT_OF_DATE,
        /** The meeting is called off. */
        CALLED_OFF
    }

    /** Copies the list. */
    public Invitation {
        attendees = List.copyOf(attendees);
    }

    /**
     * What a meeting is now.
     *
     * @param recurrenceId which time of a series, empty for the whole; who calls the whole off calls each off
     * @param said all that was said of the meeting and of its times
     */
    public static Invitation of(String recurrenceId, List<Said> said) {
        Optional<Said> current = said.stream()
                .filter(each -> isOf(each, Method.REQUEST, recurrenceId)
                        || isOf(each, Method.CANCEL, recurrenceId)
                        || isOf(each, Method.CANCEL, ""))
                .filter(Invitation::isByItsOrganizer)
                .max(ORDER);
        int sequence = current.map(it -> it.what().sequence()).orElse(0);
        List<Attendee> invited = said.stream()
                .filter(each -> isOf(each, Method.REQUEST, recurrenceId))
                .filter(Invitation::isByItsOrganizer)
                .max(ORDER)
                .map(each -> each.what().attendees())
                .orElse(List.of());
        List<Said> replies = said.stream()
                .filter(each -> isOf(each, Method.REPLY, recurrenceId))
                .filter(each -> each.what().sequence() >= sequence)
                .sorted(ORDER)
                .toList();
        return new Invitation(current, answered(invited, replies));
    }

    private static boolean isOf(Said said, Method method, String recurrenceId) {
        return said.what().method() == method && said.what().recurrenceId().equals(recurrenceId);
    }

    /** Nobody calls off or moves the meeting of another; who is not known as its organizer is believed. */
    private static boolean isByItsOrganizer(Said said) {
        String organizer = said.what().organizer().address();
        return organizer.isEmpty() || said.sender().isEmpty() || organizer.equalsIgnoreCase(said.sender());
    }

    private static List<Attendee> answered(List<Attendee> invited, List<Said> replies) {
        List<Attendee> all = new ArrayList<>(invited);
        for (Said reply : replies) {
            for (Attendee answer : reply.what().attendees()) {
                // Nobody answers for another.
                if (answer.party().address().equalsIgnoreCase(reply.sender())) {
                    put(all, answer);
                }
            }
        }
        return all;
    }

    private static void put(List<Attendee> all, Attendee answer) {
        for (int i = 0; i < all.size(); i++) {
            Attendee known = all.get(i);
            if (known.party().address().equalsIgnoreCase(answer.party().address())) {
                all.set(i, new Attendee(known.party(), answer.participation(), known.optional()));
                return;
            }
        }
        all.add(answer);
    }

    /** What a message of whoever invites is worth. */
    public Standing standingOf(UUID messageId) {
        Optional<Said> now = current;
        if (now.isEmpty()) {
            return Standing.CURRENT;
        }
        if (now.get().what().method() == Method.CANCEL) {
            return Standing.CALLED_OFF;
        }
        return now.get().messageId().equals(messageId) ? Standing.CURRENT : Standing.OUT_OF_DATE;
    }

    /** Who has not said whether they come. */
    public List<Attendee> notAnswered() {
        return attendees.stream()
                .filter(each -> each.participation() == Participation.NEEDS_ACTION)
                .toList();
    }
}
