package org.squallnote.server.answer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Answers and their drafts. */
@RestController
class AnswerController {

    private static final int LONGEST_ANSWER = 200_000;

    private final Answers answers;

    AnswerController(Answers answers) {
        this.answers = answers;
    }

    record AnswerRequest(@Size(max = LONGEST_ANSWER) String text, boolean toAll) {}

    record DraftText(@Size(max = LONGEST_ANSWER) String text) {}

    @PostMapping("/api/messages/{id}/answer")
    Done answer(
            @Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @Valid @RequestBody AnswerRequest body) {
        return answers.answer(me, commandId, id, body.text(), body.toAll());
    }

    @PutMapping("/api/messages/{id}/draft")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void draft(@Me SignedIn me, @PathVariable UUID id, @Valid @RequestBody DraftText body) {
        answers.saveDraft(me, id, body.text());
    }
}
