package org.squallnote.server.answer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Party;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Answers and their drafts. */
@RestController
class AnswerController {

    private static final int LONGEST_ANSWER = 200_000;
    private static final int LONGEST_ADDRESSEES = 20_000;

    private final Answers answers;
    private final AsksInAnswers askedBack;
    private final Undelivered undelivered;

    AnswerController(Answers answers, AsksInAnswers askedBack, Undelivered undelivered) {
        this.undelivered = undelivered;
        this.answers = answers;
        this.askedBack = askedBack;
    }

    /**
     * An answer.
     *
     * @param cc addresses of those who get it besides
     * @param bcc addresses of those who get it besides, unseen by the others
     */
    record AnswerRequest(
            @Size(max = LONGEST_ANSWER) String text,
            boolean toAll,
            @Nullable @Size(max = 50) List<@Email @Size(max = 320) String> cc,
            @Nullable @Size(max = 50) List<@Email @Size(max = 320) String> bcc,
            @Nullable Boolean anyway) {

        Answers.Written written() {
            return new Answers.Written(text, toAll, parties(cc), parties(bcc), Boolean.TRUE.equals(anyway));
        }

        private static List<Party> parties(@Nullable List<String> addresses) {
            return addresses == null
                    ? List.of()
                    : addresses.stream()
                            .filter(address -> !address.isBlank())
                            .map(address -> new Party("", address))
                            .toList();
        }
    }

    record DraftText(@Size(max = LONGEST_ANSWER) String text) {}

    /** An answer as far as it is typed: who gets it need not be addresses yet. */
    record DraftForm(
            @Size(max = LONGEST_ANSWER) String text,
            boolean toAll,
            @Size(max = LONGEST_ADDRESSEES) String cc,
            @Size(max = LONGEST_ADDRESSEES) String bcc) {}

    @PostMapping("/api/messages/{id}/answer")
    Done answer(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody AnswerRequest body) {
        return answers.answer(me, commandId, id, body.written());
    }

    /**
     * Another address for a mail of mine that did not arrive.
     *
     * @param address to whom it goes now
     */
    record AgainRequest(@NotBlank @Email @Size(max = 320) String address) {}

    @PostMapping("/api/messages/{id}/send-again")
    Done sendAgain(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody AgainRequest body) {
        return undelivered.sendAgain(me, commandId, id, body.address().strip());
    }

    @PutMapping("/api/messages/{id}/draft")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void draft(@CurrentAccount SignedIn me, @PathVariable UUID id, @Valid @RequestBody DraftForm body) {
        answers.saveDraft(me, id, body.text(), body.toAll(), body.cc(), body.bcc());
    }

    /** Adds a file to a draft. */
    @PutMapping(path = "/api/messages/{id}/draft/files/{fileId}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void addFile(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID fileId,
            @RequestParam @NotBlank @Size(max = 255) String name,
            @RequestParam @Pattern(regexp = "[\\w.+-]{1,80}/[\\w.+-]{1,80}") String type,
            @RequestBody byte[] content) {
        answers.addFile(me, id, fileId, name, type, content);
    }

    @DeleteMapping("/api/messages/{id}/draft/files/{fileId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeFile(@CurrentAccount SignedIn me, @PathVariable UUID id, @PathVariable UUID fileId) {
        answers.removeFile(me, id, fileId);
    }

    /** What an answer would ask, and of whom, so that somebody can wait for it. */
    @PostMapping("/api/messages/{id}/asked")
    AsksInAnswers.AskedView asked(
            @CurrentAccount SignedIn me, @PathVariable UUID id, @Valid @RequestBody DraftText body) {
        return askedBack.of(me, id, body.text());
    }
}
