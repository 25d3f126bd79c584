package org.squallnote.core.takein;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.takein.Column.CATEGORY;
import static org.squallnote.core.takein.Column.EFFORT;
import static org.squallnote.core.takein.Column.NOTE;
import static org.squallnote.core.takein.Column.NOTHING;
import static org.squallnote.core.takein.Column.PERSON;
import static org.squallnote.core.takein.Column.PRIORITY;
import static org.squallnote.core.takein.Column.REPLY_BY;
import static org.squallnote.core.takein.Column.START;
import static org.squallnote.core.takein.Column.STATE;
import static org.squallnote.core.takein.Column.STEPS;
import static org.squallnote.core.takein.Column.TITLE;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.WorkingTime;

class TableRowsTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final DateContext DATES =
            new DateContext(LocalDateTime.of(2026, 3, 4, 10, 40), WorkingTime.officeHours(ZONE), false);
    private static final UUID BERTHS = UUID.randomUUID();
    private static final Party TILDA = new Party("Tilda Moor", "tilda@moor.example");
    private static final CaptureContext CONTEXT =
            new CaptureContext(DATES, Map.of("Berths", BERTHS), List.of(TILDA), List.of(), "Ines Calloway");

    private static Row row(int line, String... cells) {
        return new Row(line, List.of(cells));
    }

    private static List<Proposal> read(List<Column> columns, Row... rows) {
        return TableRows.read(List.of(rows), new TableChoices(true, columns, false), CONTEXT, ZONE);
    }

    @Test
    void columnsAreGuessedFromTheirHeadings() {
        Row heading = row(1, "Due date", "Subject", "Who:", "Project", "Comment", "Reference");
        assertThat(Columns.isHeading(List.of(heading), DATES)).isTrue();
        assertThat(Columns.guess(heading.cells(), List.of(row(2, "1/4/2026", "x", "", "", "", "7")), DATES))
                .containsExactly(REPLY_BY, TITLE, PERSON, CATEGORY, NOTE, NOTHING);
        assertThat(Columns.guess(List.of("What*", "Effort (min)", "Prio"), List.of(), DATES))
                .containsExactly(TITLE, EFFORT, PRIORITY);
        assertThat(Columns.guess(List.of("Fällig am", "Aufgabe", "Erledigt"), List.of(), DATES))
                .containsExactly(REPLY_BY, TITLE, STATE);
    }

    @Test
    void columnsWithoutKnownHeadingsAreGuessedFromWhatStandsInThem() {
        List<Row> rows = List.of(
                row(1, "17", "Send Bo the winch drawings", "2026-03-09"),
                row(2, "18", "Ring the slipway", "2026-03-10"));
        assertThat(Columns.isHeading(rows, DATES)).isFalse();
        assertThat(Columns.guess(List.of(), rows, DATES)).containsExactly(NOTHING, TITLE, REPLY_BY);
        assertThat(Columns.guess(List.of("Nr", "Description"), rows, DATES)).containsExactly(NOTHING, TITLE, REPLY_BY);
    }

    @Test
    void aRowBecomesAFollowUpWithAllThatItSays() {
        Proposal read = read(
                        List.of(TITLE, REPLY_BY, START, CATEGORY, EFFORT, PRIORITY, PERSON, STEPS, NOTE),
                        row(1, "Task", "Due", "Start", "Project", "Effort", "Priority", "Who", "Steps", "Notes"),
                        row(
                                2,
                                " Send  Bo the drawings ",
                                "9/3/2026 14:30",
                                "6/3/2026",
                                "berths",
                                "1h30",
                                "2",
                                "Tilda; \"Bo Ash\" <bo@ash.example>",
                                "[x] find them; scan",
                                "In the van"))
                .get(0);
        assertThat(read.problems()).isEmpty();
        assertThat(read.taken()).isTrue();
        Content content = read.content();
        assertThat(content.title()).isEqualTo("Send Bo the drawings");
        assertThat(content.replyDay()).isEqualTo(LocalDate.of(2026, 3, 9));
        assertThat(content.replyTime()).isEqualTo(LocalTime.of(14, 30));
        assertThat(content.categoryId()).isEqualTo(BERTHS);
        assertThat(content.effortMinutes()).isEqualTo(90);
        assertThat(content.priority()).isEqualTo(Priority.NORMAL);
        assertThat(content.details().startDay()).isEqualTo(LocalDate.of(2026, 3, 6));
        assertThat(content.details().people()).containsExactly(TILDA, new Party("Bo Ash", "bo@ash.example"));
        assertThat(content.details().checklist())
                .containsExactly(new Checklist.Item("find them", true), new Checklist.Item("scan", false));
        assertThat(content.details().note()).isEqualTo("In the van");
    }

    @Test
    void whatIsWrongInARowCostsThatRowAndSaysWhy() {
        List<Proposal> read = read(
                List.of(TITLE, REPLY_BY, EFFORT),
                row(1, "Task", "Due", "Effort"),
                row(2, "Good", "9/3/2026", "15"),
                row(3, "", "9/3/2026", ""),
                row(4, "No such day", "31/2/2026", "long"),
                row(5, "Too wide", "9/3/2026", "5", "left over"),
                row(6, " ", "", ""),
                row(7, "Short"));
        assertThat(read).extracting(Proposal::line).containsExactly(2, 3, 4, 5, 7);
        assertThat(read.get(0).problems()).isEmpty();
        assertThat(read.get(1).problems()).containsExactly("Has no title.");
        assertThat(read.get(2).problems()).hasSize(2).first().asString().contains("“31/2/2026” is no date");
        assertThat(read.get(3).problems()).singleElement().asString().contains("4 cells, the heading has 3");
        assertThat(read.get(4).content()).isNotNull();
        assertThat(read).filteredOn(each -> each.content() == null).noneMatch(Proposal::taken);
    }

    @Test
    void anUnknownCategoryIsNamedAndDoneOnesAreNotTaken() {
        List<Proposal> read = read(
                List.of(TITLE, CATEGORY, STATE),
                row(1, "Task", "Project", "Done"),
                row(2, "One", "Moorings", "no"),
                row(3, "Two", "Berths", "Yes"));
        assertThat(read.get(0).category()).isEqualTo("Moorings");
        assertThat(read.get(0).taken()).isTrue();
        assertThat(read.get(1).category()).isEmpty();
        assertThat(read.get(1).taken()).isFalse();
        assertThat(read.get(1).remarks()).containsExactly("Is done already.");
    }

    @Test
    void numbersArePrioritiesOnTheScaleOfTheirColumn() {
        List<Proposal> three = read(List.of(TITLE, PRIORITY), row(1, "T", "P"), row(2, "a", "1"), row(3, "b", "3"));
        assertThat(three).extracting(each -> each.content().priority()).containsExactly(Priority.HIGH, Priority.LOW);
        List<Proposal> nine = read(List.of(TITLE, PRIORITY), row(1, "T", "P"), row(2, "a", "3"), row(3, "b", "9"));
        assertThat(nine).extracting(each -> each.content().priority()).containsExactly(Priority.HIGH, Priority.LOW);
    }

    @Test
    void effortsAreHoursWhereTheHeadingSaysSo() {
        List<Proposal> read =
                read(List.of(TITLE, EFFORT), row(1, "T", "Effort (hours)"), row(2, "a", "1.5"), row(3, "b", "0:45"));
        assertThat(read).extracting(each -> each.content().effortMinutes()).containsExactly(90, 45);
    }

    @Test
    void severalNotesStandBelowEachOtherAndALongTitleIsKeptWhole() {
        String longTitle = "word ".repeat(80).strip();
        Proposal read = read(List.of(TITLE, NOTE, NOTE), row(1, "T", "Why", "How"), row(2, longTitle, "so", "'=thus"))
                .get(0);
        assertThat(read.content().details().note()).isEqualTo(longTitle + "\n\nWhy: so\nHow: =thus");
        assertThat(read.content().title()).hasSizeLessThanOrEqualTo(300);
    }

    @Test
    void whatIsThereAlreadyOrTwiceIsNotTaken() {
        List<Proposal> read = read(
                List.of(TITLE, REPLY_BY),
                row(1, "T", "Due"),
                row(2, "Ring Bo", "9/3/2026"),
                row(3, "ring  bo", "9/3/2026"),
                row(4, "Ring Bo", "10/3/2026"));
        List<Proposal> fresh = Known.leavingOut(read, List.of());
        assertThat(fresh).extracting(Proposal::taken).containsExactly(true, false, true);
        assertThat(fresh.get(1).remarks()).containsExactly("Says the same as 2.");
    }

    @Test
    void aChecklistKeepsItsStepsTicksAndHeadings() {
        List<Proposal> read = new ArrayList<>(ChecklistLines.read("""
                # Week
                ## Berths
                - [ ] Send Bo the **winch** drawings by Friday, 30 min
                  - [x] find them

                  - [ ] scan
                - [x] Ring the slipway
                ## Elsewhere
                - [ ] Water the plants every Monday
                """, CONTEXT, 100));
        read.removeIf(each -> !each.taken());
        assertThat(read).extracting(Proposal::line).containsExactly(3, 9);
        Content first = read.get(0).content();
        assertThat(first.title()).isEqualTo("Send Bo the winch drawings");
        assertThat(first.replyDay()).isEqualTo(LocalDate.of(2026, 3, 6));
        assertThat(first.effortMinutes()).isEqualTo(30);
        assertThat(first.categoryId()).isEqualTo(BERTHS);
        assertThat(first.details().checklist())
                .containsExactly(new Checklist.Item("find them", true), new Checklist.Item("scan", false));
        assertThat(read.get(1).content().categoryId()).isNull();
        assertThat(read.get(1).repeats()).isEqualTo("every Monday");
    }
}
