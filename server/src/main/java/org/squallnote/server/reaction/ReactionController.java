package org.squallnote.server.reaction;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Reactions to chat messages. */
@RestController
class ReactionController {

    private final Reactions reactions;

    ReactionController(Reactions reactions) {
        this.reactions = reactions;
    }

    /**
     * A reaction.
     *
     * @param sign what is shown: an emoji, or a very short word
     */
    record ReactionRequest(@NotBlank @Size(max = 40) String sign) {}

    @PostMapping("/api/messages/{id}/reactions")
    Done react(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody ReactionRequest body) {
        return reactions.react(me, commandId, id, body.sign().strip());
    }

    @DeleteMapping("/api/messages/{id}/reactions")
    Done takeBack(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam @NotBlank @Size(max = 40) String sign) {
        return reactions.takeBack(me, commandId, id, sign);
    }
}
