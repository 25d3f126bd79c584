package org.squallnote.server.listing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.formats.table.MailedTable;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Any list as it is seen: mailed to somebody, or as a file. */
@RestController
class ListController {

    private static final int MOST_GROUPS = 500;
    private static final int MOST_ROWS = 5_000;
    private static final int MOST_CELLS = 20;

    private final ListedMails mails;

    ListController(ListedMails mails) {
        this.mails = mails;
    }

    /** Rows that stand together. */
    record GroupForm(
            @NotNull @Size(max = 300) String title,

            @NotNull @Size(max = MOST_ROWS)
            List<@NotNull @Size(max = MOST_CELLS) List<@NotNull @Size(max = 2000) String>> rows) {}

    /** @param heading what the cells of each row are */
    record ListForm(
            @NotBlank @Size(max = 200) String title,
            @NotNull @Size(max = 10_000) String words,
            @NotEmpty @Size(max = MOST_CELLS) List<@NotNull @Size(max = 100) String> heading,
            @NotEmpty @Size(max = MOST_GROUPS) List<@Valid GroupForm> groups) {

        MailedTable table() {
            return new MailedTable(
                    title.strip(),
                    words,
                    heading,
                    groups.stream()
                            .map(group -> new MailedTable.Group(group.title(), group.rows()))
                            .toList());
        }
    }

    /** A list for somebody. */
    record MailedListForm(
            @NotBlank @Email @Size(max = 320) String to,
            @NotNull @Valid ListForm list) {}

    @PostMapping("/api/lists/mail")
    Done mail(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody MailedListForm body) {
        return mails.send(me, commandId, body.to().strip(), body.list().table());
    }

    /** The list as CSV (RFC 4180); changes nothing. */
    @PostMapping(path = "/api/lists/csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@CurrentAccount SignedIn me, @Valid @RequestBody ListForm body) {
        return Download.ofText(
                body.title().strip() + ".csv", "csv", body.table().csv());
    }
}
