package org.squallnote.server.intake;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.QuickChoices;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.store.message.IntakeRow;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.ChatRoom;
import org.squallnote.store.source.Source;
import org.squallnote.store.source.SourceStore;

/** Intake. */
@RestController
class IntakeController {

    /** The list shows this many at most; the count says how many there are. */
    private static final int MOST = 300;

    private final MessageStore messages;
    private final SourceStore sources;
    private final Decisions decisions;
    private final Clock clock;

    IntakeController(MessageStore messages, SourceStore sources, Decisions decisions, Clock clock) {
        this.messages = messages;
        this.sources = sources;
        this.decisions = decisions;
        this.clock = clock;
    }

    record IntakeView(int total, Map<Heap, Integer> counts, List<IntakeLine> lines, List<QuickChoice> quickChoices) {}

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
            boolean hasFiles) {}

    @GetMapping("/api/intake")
    IntakeView intake(@Me SignedIn me) {
        Instant now = clock.instant();
        WorkingTime workingTime = WorkingTime.officeHours(me.zoneId());
        Map<UUID, String> sourceNames = new HashMap<>();
        sources.of(me.accountId()).forEach(source -> sourceNames.put(source.id(), source.name()));
        Map<String, String> roomNames = new HashMap<>();
        for (Source source : sources.of(me.accountId())) {
            for (ChatRoom room : sources.rooms(me.accountId(), source.id())) {
                roomNames.put(room.roomId(), room.name());
            }
        }
        Map<Heap, Integer> counts = new EnumMap<>(Heap.class);
        for (Heap heap : Heap.values()) {
            counts.put(heap, 0);
        }
        List<IntakeLine> lines = messages.intake(me.accountId(), MOST).stream()
                .map(row -> line(row, now, workingTime, sourceNames, roomNames))
                .toList();
        lines.forEach(line -> counts.merge(line.heap(), 1, Integer::sum));
        List<QuickChoice> choices = QuickChoices.on(LocalDate.ofInstant(now, me.zoneId()), workingTime).stream()
                .map(choice -> new QuickChoice(choice.label(), choice.day()))
                .toList();
        return new IntakeView(messages.intakeCount(me.accountId()), counts, lines, choices);
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
                row.hasFiles());
    }

    @PostMapping("/api/messages/{id}/nothing")
    Done nothing(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return decisions.nothing(me, commandId, id);
    }

    @PostMapping("/api/messages/{id}/back-to-intake")
    Done backToIntake(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return decisions.backToIntake(me, commandId, id);
    }
}
