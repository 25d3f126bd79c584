package org.squallnote.server.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.Channel;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Intake. */
@RestController
class IntakeController {

    private final Decisions decisions;
    private final IntakeList list;

    IntakeController(Decisions decisions, IntakeList list) {
        this.list = list;
        this.decisions = decisions;
    }

    record IntakeView(
            int total,
            Map<Heap, Integer> counts,
            List<IntakeLine> lines,
            List<IntakeLine> putOff,
            List<QuickChoice> quickChoices,
            @Nullable HeldBackView heldBack) {}

    /**
     * What has come since somebody last looked, and is not told of before they look again.
     *
     * @param next when that is, in the account's zone; absent while they work at something
     */
    record HeldBackView(
            int count, LocalDateTime since, @Nullable LocalDateTime next) {}

    record QuickChoice(String label, LocalDate day) {}

    record IntakeLine(
            UUID id,
            UUID threadId,
            Heap heap,
            Channel channel,
            String from,
            String about,
            String subjectBeside,
            Instant sentAt,
            long waitingWorkingMinutes,
            String source,
            @Nullable String room,
            @Nullable String roomId,
            String party,
            boolean list,
            boolean hasFiles,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean replyFirm,
            boolean late,
            @Nullable LocalDate putOffUntil) {}

    @GetMapping("/api/intake")
    IntakeView intake(@CurrentAccount SignedIn me) {
        IntakeList.Waiting waiting = list.of(me);
        return new IntakeView(
                waiting.counts().values().stream().mapToInt(Integer::intValue).sum(),
                waiting.counts(),
                waiting.rows().stream().map(row -> line(row, waiting)).toList(),
                waiting.putOff().stream().map(row -> line(row, waiting)).toList(),
                waiting.quickChoices().stream()
                        .map(choice -> new QuickChoice(choice.label(), choice.day()))
                        .toList(),
                waiting.heldBack()
                        .map(held -> new HeldBackView(
                                held.count(), held.since(), held.next().orElse(null)))
                        .orElse(null));
    }

    private static IntakeLine line(IntakeRow row, IntakeList.Waiting waiting) {
        return new IntakeLine(
                row.id(),
                row.threadId(),
                Heap.of(row.nature(), row.asksMe()),
                row.channel(),
                row.from().displayName(),
                row.about(),
                row.subjectBeside(),
                row.sentAt(),
                waiting.workingTime().between(row.sentAt(), waiting.now()).toMinutes(),
                waiting.sourceNames().getOrDefault(row.sourceId(), ""),
                row.roomId() == null ? null : waiting.roomNames().getOrDefault(row.roomId(), ""),
                row.roomId(),
                row.party(),
                row.listAddress() != null,
                row.hasFiles(),
                row.replyDay(),
                row.replyTime(),
                row.replyFirm(),
                row.isLate(waiting.localNow()),
                row.putOffUntil());
    }

    @PostMapping("/api/messages/{id}/nothing")
    Done nothing(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean always,
            @RequestParam(defaultValue = "false") boolean subject) {
        return always ? decisions.nothingAlways(me, commandId, id, subject) : decisions.nothing(me, commandId, id);
    }

    @PostMapping("/api/messages/{id}/put-off")
    Done putOff(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam LocalDate until) {
        return decisions.putOff(me, commandId, id, until);
    }

    @PostMapping("/api/messages/{id}/back-to-intake")
    Done backToIntake(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return decisions.backToIntake(me, commandId, id);
    }
}
