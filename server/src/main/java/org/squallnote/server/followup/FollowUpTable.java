package org.squallnote.server.followup;

import java.time.Instant;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpGroups;
import org.squallnote.core.message.Party;
import org.squallnote.core.todo.Todo;
import org.squallnote.formats.calendar.TodoWriter;
import org.squallnote.formats.table.CsvTable;
import org.squallnote.server.account.SignedIn;

/** Open follow-ups for other programs. */
final class FollowUpTable {

    private static final List<String> HEADING = List.of(
            "Title",
            "Reply by",
            "Time",
            "Firm",
            "Category",
            "Minutes",
            "Priority",
            "With",
            "Place",
            "From",
            "Not before",
            "Note",
            "Made");

    private FollowUpTable() {}

    /** As CSV; days and times as ISO 8601 has them. */
    static String csv(List<FollowUp> followUps, FollowUpGroups.Names names) {
        return CsvTable.write(
                HEADING,
                followUps.stream()
                        .map(each -> List.of(
                                each.title(),
                                text(each.replyDay()),
                                Optional.ofNullable(each.replyTime())
                                        .map(LocalTime::toString)
                                        .orElse(""),
                                each.firm() ? "yes" : "no",
                                names.category(each),
                                text(each.effortMinutes()),
                                each.priority().name().toLowerCase(Locale.ROOT),
                                each.people().list().stream()
                                        .map(Party::displayName)
                                        .collect(Collectors.joining("; ")),
                                each.place(),
                                names.writer(each).map(Party::displayName).orElse(""),
                                text(each.startDay()),
                                each.note(),
                                each.createdAt().toString()))
                        .toList());
    }

    /** As tasks of a calendar (RFC 5545). */
    static String calendar(SignedIn me, List<FollowUp> followUps, FollowUpGroups.Names names, Instant now) {
        Map<String, Todo> tasks = new LinkedHashMap<>();
        followUps.forEach(each -> tasks.put(Todo.uid(each.id()), Todo.of(each, names.category(each), me.zoneId())));
        return TodoWriter.all(tasks, now);
    }

    private static String text(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }
}
