package org.squallnote.server.bulk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Decisions about several messages. */
@RestController
class BulkController {

    /** So many are decided in one request. */
    static final int MOST = 1_000;

    private final BulkDecisions decisions;

    BulkController(BulkDecisions decisions) {
        this.decisions = decisions;
    }

    enum BulkDecision {
        NOTHING,
        PUT_OFF,
        FOLLOW_UP,
        HAND_OVER
    }

    /** To whom they are handed over, and what is said with each. */
    record HandOverTo(
            @Size(max = 200) String name,
            @Email @Size(max = 320) String address,
            @Size(max = 20_000) String text) {}

    /**
     * What is to become of them.
     *
     * @param day until when they are put off; of follow-ups the reply-by day of all, else each has its own proposal
     * @param handOver to whom they are handed over
     * @param categoryId the category of all follow-ups, else each has its own proposal
     */
    record BulkRequest(
            @NotEmpty @Size(max = MOST) List<UUID> messageIds,
            @NotNull BulkDecision decision,
            @Nullable LocalDate day,
            @Nullable UUID categoryId,
            @Nullable @Valid HandOverTo handOver) {}

    record BulkPreview(List<PreviewLine> lines, int decided) {}

    record PreviewLine(
            UUID messageId,
            String from,
            String title,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean firm,
            @Nullable UUID categoryId) {}

    @PostMapping("/api/intake/decisions")
    Done decide(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody BulkRequest request) {
        return decisions.decide(me, commandId, request);
    }

    /** What would be made of them; changes nothing. */
    @PostMapping("/api/intake/decisions/preview")
    BulkPreview preview(@CurrentAccount SignedIn me, @Valid @RequestBody BulkRequest request) {
        return decisions.preview(me, request);
    }
}
