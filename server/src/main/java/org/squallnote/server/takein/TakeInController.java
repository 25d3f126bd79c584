package org.squallnote.server.takein;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Party;
import org.squallnote.core.takein.CellDates;
import org.squallnote.core.takein.Column;
import org.squallnote.core.takein.Proposal;
import org.squallnote.core.text.Beginning;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Takes in follow-ups from files of other programs: tables (CSV), tasks (iCalendar), lists (Markdown, plain text). */
@RestController
class TakeInController {

    private static final int LONGEST_TITLE = 300;
    private static final int LONGEST_NOTE = 200;

    private final TakeIn takeIn;

    TakeInController(TakeIn takeIn) {
        this.takeIn = takeIn;
    }

    /**
     * What a category is called there, and which one it is here.
     *
     * @param isNew whether it is to be made by that name
     */
    record NamedCategory(
            @NotNull @Size(min = 1, max = 300) String name,
            @NotNull UUID categoryId,
            boolean isNew) {}

    /**
     * A file with how it is to be read.
     *
     * @param content its bytes, in Base64
     * @param headed whether the first row names the columns; null for a guess
     * @param columns what each column of a table says; null for a guess
     * @param monthFirst whether 3/4 is March 4; null for a guess
     */
    record FileToTakeIn(
            @NotNull @Size(max = 300) String name,

            @NotNull @Size(max = FollowUpFiles.MOST_BYTES + 1)
            byte[] content,

            @Nullable Boolean headed,
            @Nullable @Size(max = 200) List<@NotNull Column> columns,
            @Nullable Boolean monthFirst,
            @NotNull @Size(max = 500) List<@Valid @NotNull NamedCategory> categories) {

        TakeIn.File file() {
            return new TakeIn.File(
                    name, content, new FollowUpFiles.Wanted(headed, columns, monthFirst), named(false), named(true));
        }

        private Map<String, UUID> named(boolean isNew) {
            return categories.stream()
                    .filter(category -> category.isNew() == isNew)
                    .collect(Collectors.toMap(
                            NamedCategory::name, NamedCategory::categoryId, (one, other) -> other, LinkedHashMap::new));
        }
    }

    /** @param lines those that are wanted, by their lines or numbers in the file */
    record LinesToTakeIn(
            @NotNull @Valid FileToTakeIn file,
            @NotEmpty @Size(max = 5_000) List<@NotNull Integer> lines) {}

    /**
     * What a line would become.
     *
     * @param note the beginning of its note
     * @param steps how many steps it has
     * @param usable whether it can be taken in
     * @param category the name of a category that there is none of; empty otherwise
     */
    record LineToTakeIn(
            int line,
            String title,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            @Nullable LocalDate startDay,
            @Nullable UUID categoryId,
            @Nullable Integer effortMinutes,
            Priority priority,
            List<Party> people,
            String place,
            String note,
            int steps,
            String repeats,
            String category,
            boolean usable,
            boolean taken,
            List<String> problems,
            List<String> remarks) {

        static LineToTakeIn of(Proposal proposal) {
            Content content = proposal.content();
            Content.Details details =
                    content == null || content.details() == null ? Content.Details.of(List.of()) : content.details();
            return new LineToTakeIn(
                    proposal.line(),
                    Beginning.of(proposal.title(), LONGEST_TITLE),
                    content == null ? null : content.replyDay(),
                    content == null ? null : content.replyTime(),
                    details.startDay(),
                    content == null ? null : content.categoryId(),
                    content == null ? null : content.effortMinutes(),
                    content == null || content.priority() == null ? Priority.NORMAL : content.priority(),
                    details.people(),
                    details.place(),
                    Beginning.onOneLine(details.note(), LONGEST_NOTE),
                    details.checklist().size(),
                    proposal.repeats(),
                    proposal.category(),
                    content != null,
                    proposal.taken(),
                    proposal.problems(),
                    proposal.remarks());
        }
    }

    /** How a table was read; see {@link ReadFile.Table}. */
    record TableToTakeIn(
            String separator,
            boolean headed,
            List<ReadFile.TableColumn> columns,
            boolean monthFirst,
            boolean datesCertain,
            boolean datesMixed) {

        static TableToTakeIn of(ReadFile.Table table) {
            CellDates.Order dates = table.dates();
            return new TableToTakeIn(
                    String.valueOf(table.separator()),
                    table.headed(),
                    table.columns(),
                    dates.monthFirst(),
                    dates.certain(),
                    dates.mixed());
        }
    }

    /**
     * A file as it would be taken in.
     *
     * @param charset as which its bytes were read
     * @param table null for what is no table
     * @param unknownCategories the names of categories that there are none of
     * @param events how many events stand beside the tasks; they are no follow-ups
     * @param more whether it holds more than was read
     */
    record FileLookedAt(
            ReadFile.Sort sort,
            String charset,
            @Nullable TableToTakeIn table,
            List<String> unknownCategories,
            List<LineToTakeIn> lines,
            int events,
            boolean more) {}

    /** Shows what a file would give; nothing is changed by it. */
    @PostMapping("/api/take-in/look")
    FileLookedAt look(@CurrentAccount SignedIn me, @Valid @RequestBody FileToTakeIn body) {
        ReadFile read = takeIn.look(me, body.file());
        ReadFile.Table table = read.table();
        return new FileLookedAt(
                read.sort(),
                read.charset().displayName(),
                table == null ? null : TableToTakeIn.of(table),
                read.lines().stream()
                        .map(Proposal::category)
                        .filter(name -> !name.isEmpty())
                        .distinct()
                        .toList(),
                read.lines().stream().map(LineToTakeIn::of).toList(),
                read.events(),
                read.more());
    }

    /** Makes follow-ups of lines of a file: all of them, or none. */
    @PostMapping("/api/take-in")
    Done take(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody LinesToTakeIn body) {
        return takeIn.take(me, commandId, body.file().file(), new HashSet<>(body.lines()));
    }
}
