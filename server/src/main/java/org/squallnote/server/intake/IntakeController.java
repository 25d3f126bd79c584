package org.squallnote.server.intake;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
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
import org.squallnote.core.intake.IntakeCount;
import org.squallnote.core.intake.IntakeKind;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.QuickChoices;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Intake. */
@RestController
class IntakeController {

    /** The list shows this many of each heap at most: of what asks those that are wanted first, of the others the newest. */
    private static final int MOST_OF_A_HEAP = 200;

    private final MessageStore messages;
    private final SourceStore sources;
    private final Decisions decisions;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    IntakeController(
            MessageStore messages, SourceStore sources, Decisions decisions, WorkingTimes workingTimes, Clock clock) {
        this.messages = messages;
        this.sources = sources;
        this.decisions = decisions;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    record IntakeView(
            int total,
            Map<Heap, Integer> counts,
            List<IntakeLine> lines,
            List<IntakeLine> putOff,
            List<QuickChoice> quickChoices) {}

    record QuickChoice(String label, LocalDate day) {}

    record IntakeLine(
            UUID id,
            Heap heap,
            Channel channel,
            String from,
            String about,
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
            @Nullable LocalDate putOffUntil) {}

    @GetMapping("/api/intake")
    IntakeView intake(@Me SignedIn me) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        WorkingTime workingTime = workingTimes.of(me.accountId());
        Map<UUID, String> sourceNames = new HashMap<>();
        sources.of(me.accountId()).forEach(source -> sourceNames.put(source.id(), source.name()));
        Map<String, String> roomNames = new HashMap<>();
        sources.allRooms(me.accountId()).forEach(room -> roomNames.put(room.roomId(), room.name()));
        Map<Heap, Integer> counts = new EnumMap<>(Heap.class);
        List<IntakeLine> lines = new ArrayList<>();
        for (Heap heap : Heap.values()) {
            counts.put(heap, 0);
            List<IntakeRow> rows = heap == Heap.ASKS_YOU
                    ? messages.intakeByWanted(me.accountId(), kindsOf(heap), today, MOST_OF_A_HEAP)
                    : messages.intake(me.accountId(), kindsOf(heap), today, MOST_OF_A_HEAP);
            rows.forEach(row -> lines.add(line(row, now, workingTime, sourceNames, roomNames)));
        }
        int total = 0;
        for (IntakeCount count : messages.intakeCounts(me.accountId(), today)) {
            counts.merge(Heap.of(count.nature(), count.asksMe()), count.count(), Integer::sum);
            total += count.count();
        }
        List<QuickChoice> choices = QuickChoices.on(today, workingTime).stream()
                .map(choice -> new QuickChoice(choice.label(), choice.day()))
                .toList();
        List<IntakeLine> putOff = messages.putOffBeyond(me.accountId(), today).stream()
                .map(row -> line(row, now, workingTime, sourceNames, roomNames))
                .toList();
        return new IntakeView(total, counts, lines, putOff, choices);
    }

    /** The kinds of messages that the rule puts into a heap. */
    private static List<IntakeKind> kindsOf(Heap heap) {
        List<IntakeKind> kinds = new ArrayList<>();
        for (Nature nature : Nature.values()) {
            for (boolean asksMe : new boolean[] {true, false}) {
                if (Heap.of(nature, asksMe) == heap) {
                    kinds.add(new IntakeKind(nature, asksMe));
                }
            }
        }
        return kinds;
    }

    private static IntakeLine line(
            IntakeRow row,
            Instant now,
            WorkingTime workingTime,
            Map<UUID, String> sourceNames,
            Map<String, String> roomNames) {
        String about = !row.ask().isBlank() ? row.ask() : row.subject().isBlank() ? row.beginning() : row.subject();
        return new IntakeLine(
                row.id(),
                Heap.of(row.nature(), row.asksMe()),
                row.channel(),
                new Party(row.fromName(), row.fromAddress()).displayName(),
                about.replaceAll("\\s+", " ").strip(),
                row.sentAt(),
                workingTime.between(row.sentAt(), now).toMinutes(),
                sourceNames.getOrDefault(row.sourceId(), ""),
                row.roomId() == null ? null : roomNames.getOrDefault(row.roomId(), ""),
                row.roomId(),
                row.listAddress() == null ? row.fromAddress() : row.listAddress(),
                row.listAddress() != null,
                row.hasFiles(),
                row.replyDay(),
                row.replyTime(),
                row.replyFirm(),
                row.putOffUntil());
    }

    @PostMapping("/api/messages/{id}/nothing")
    Done nothing(
            @Me SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean always,
            @RequestParam(defaultValue = "false") boolean subject) {
        return always ? decisions.nothingAlways(me, commandId, id, subject) : decisions.nothing(me, commandId, id);
    }

    @PostMapping("/api/messages/{id}/put-off")
    Done putOff(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @RequestParam LocalDate until) {
        return decisions.putOff(me, commandId, id, until);
    }

    @PostMapping("/api/messages/{id}/back-to-intake")
    Done backToIntake(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return decisions.backToIntake(me, commandId, id);
    }
}
