package org.squallnote.server.office;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Mailboxes that several read. */
@RestController
class OfficeController {

    private final OfficeMail office;

    OfficeController(OfficeMail office) {
        this.office = office;
    }

    /** @param office null where nobody else reads the mailbox of the message */
    record OfficeAnswer(OfficeMail.@Nullable OfficeView office) {}

    /** What the other readers of its mailbox do about a message. */
    @GetMapping("/api/messages/{id}/office")
    OfficeAnswer of(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return new OfficeAnswer(office.of(me, id).orElse(null));
    }

    /** Sees to a message for all. */
    @PutMapping("/api/messages/{id}/office")
    Done take(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return office.take(me, commandId, id);
    }

    /** Lets it go again. */
    @DeleteMapping("/api/messages/{id}/office")
    Done letGo(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return office.letGo(me, commandId, id);
    }
}
