package org.squallnote.formats.calendar;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.repetition.RepetitionWords;
import org.squallnote.core.repetition.TypedRepetition;
import org.squallnote.core.takein.Proposal;
import org.squallnote.core.todo.Todo;

/** Reads the tasks of calendar files (VTODO, RFC 5545 section 3.6.2) as follow-ups. */
public final class CalendarTasks {

    /** More parts of calendars, alarms and zones with them, are not read. */
    private static final int MOST_PARTS = 20_000;

    private CalendarTasks() {}

    /**
     * What a file holds.
     *
     * @param tasks each with its number in the file
     * @param events how many events stand beside them
     * @param more whether there are more tasks than were read
     */
    public record Read(List<Proposal> tasks, int events, boolean more) {}

    /**
     * Reads a file.
     *
     * @param zone of whoever takes it in, for what floats
     * @param most so many tasks are read
     */
    public static Read read(String text, CaptureContext context, ZoneId zone, int most) {
        List<Proposal> tasks = new ArrayList<>();
        int events = 0;
        int number = 0;
        for (Component calendar : Component.calendars(text, MOST_PARTS)) {
            TimeZones zones = calendar.zones();
            events += calendar.parts("VEVENT").size();
            for (Component task : calendar.parts("VTODO")) {
                number++;
                Properties said = task.properties();
                // One changed occurrence of a task that comes back is not another task.
                if (number <= most && said.first("RECURRENCE-ID").isEmpty()) {
                    tasks.add(proposal(number, said, zones, zone, context));
                }
            }
        }
        return new Read(tasks, events, number > most);
    }

    private static Proposal proposal(
            int number, Properties said, TimeZones zones, ZoneId zone, CaptureContext context) {
        String whole = said.text("SUMMARY", Todo.LONGEST_NOTE);
        if (whole.isEmpty()) {
            return Proposal.refused(number, "", "Has no title (SUMMARY).");
        }
        List<String> remarks = new ArrayList<>();
        Todo todo = CalendarTodo.todo(
                said,
                said.text("SUMMARY", Todo.LONGEST_TITLE),
                zones,
                zone,
                context.categories().keySet());
        if (whole.length() > Todo.LONGEST_TITLE) {
            remarks.add("The title is longer than " + Todo.LONGEST_TITLE + " characters and is cut.");
        }
        if (said.first("DUE").isPresent() && todo.dueDay() == null && todo.dueAt() == null) {
            remarks.add("“" + said.word("DUE") + "” is no date that can be read: it has none.");
        }
        if (said.lines("DESCRIPTION").strip().length() > Todo.LONGEST_NOTE) {
            remarks.add("The note is longer than 20,000 characters and is cut.");
        }
        boolean open = todo.state() == FollowUpState.OPEN;
        if (!open) {
            remarks.add(todo.state() == FollowUpState.DONE ? "Is done already." : "Was dropped there.");
        }
        String named = said.list("CATEGORIES").stream().findFirst().orElse("");
        return new Proposal(
                number,
                whole,
                todo.asContent(zone, context.category(todo.category()).orElse(null)),
                repeats(said, context, remarks),
                todo.category().isEmpty() ? named : "",
                open,
                List.of(),
                remarks);
    }

    private static String repeats(Properties said, CaptureContext context, List<String> remarks) {
        String rule = said.word("RRULE");
        if (rule.isEmpty()) {
            return "";
        }
        Optional<TypedRepetition> typed = TypedRepetition.read("rrule:" + rule, context.dates());
        if (typed.isEmpty()) {
            remarks.add("How it comes back there (" + rule + ") cannot be said here: it is taken in once.");
        }
        return typed.map(each -> RepetitionWords.of(each.repetition())).orElse("");
    }
}
