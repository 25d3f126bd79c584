package org.squallnote.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Standing;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.FollowUp;
import org.squallnote.store.followup.FollowUpOrigin;
import org.squallnote.store.followup.FollowUpStore;
import tools.jackson.databind.json.JsonMapper;

/** Follow-ups. */
@RestController
class FollowUpController {

    /** How long what has ended stays in the list. */
    private static final Duration ENDED_SHOWN = Duration.ofDays(7);

    private final FollowUps followUps;
    private final FollowUpStore store;
    private final WorkingTimes workingTimes;
    private final Clock clock;
    private final JsonMapper json;

    FollowUpController(
            FollowUps followUps, FollowUpStore store, WorkingTimes workingTimes, Clock clock, JsonMapper json) {
        this.followUps = followUps;
        this.store = store;
        this.workingTimes = workingTimes;
        this.clock = clock;
        this.json = json;
    }

    record FollowUpRequest(
            @NotBlank @Size(max = 300) String title,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean firm,
            @Nullable UUID categoryId,
            @Nullable @Min(1) @Max(6000) Integer effortMinutes,
            @Nullable Boolean forReply) {

        FollowUps.Content content() {
            return new FollowUps.Content(title, replyDay, replyTime, firm, categoryId, effortMinutes, forReply);
        }
    }

    record FollowUpLine(
            UUID id,
            String title,
            @Nullable UUID categoryId,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean firm,
            Standing standing,
            @Nullable Integer effortMinutes,
            boolean forReply,
            boolean answerSeen,
            FollowUpState state,
            @Nullable Instant endedAt,
            @Nullable String from,
            @Nullable Channel channel,
            int version) {}

    record FollowUpsView(List<FollowUpLine> open, List<FollowUpLine> ended, int undated) {}

    record FollowUpDetail(FollowUpLine line, Instant createdAt, List<LinkView> messages) {}

    record LinkView(UUID messageId, UUID threadId, Instant linkedAt, Snapshot snapshot) {}

    @GetMapping("/api/follow-ups")
    FollowUpsView all(@Me SignedIn me) {
        Instant since = clock.instant().minus(ENDED_SHOWN);
        Map<UUID, FollowUpOrigin> origins = origins(me, since);
        WorkingTime workingTime = workingTimes.of(me.accountId());
        List<FollowUpLine> open = store.open(me.accountId()).stream()
                .map(f -> line(me, f, origins, workingTime))
                .toList();
        return new FollowUpsView(
                open,
                store.endedSince(me.accountId(), since).stream()
                        .map(f -> line(me, f, origins, workingTime))
                        .toList(),
                (int) open.stream().filter(f -> f.replyDay() == null).count());
    }

    private Map<UUID, FollowUpOrigin> origins(SignedIn me, Instant since) {
        Map<UUID, FollowUpOrigin> origins = new HashMap<>();
        store.origins(me.accountId(), since).forEach(origin -> origins.putIfAbsent(origin.followUpId(), origin));
        return origins;
    }

    @GetMapping("/api/follow-ups/{id}")
    FollowUpDetail one(@Me SignedIn me, @PathVariable UUID id) {
        FollowUp followUp = followUps.get(me.accountId(), id);
        Map<UUID, FollowUpOrigin> origins = new HashMap<>();
        Map<UUID, UUID> threads = new HashMap<>();
        for (FollowUpOrigin origin : store.originsOf(me.accountId(), id)) {
            origins.putIfAbsent(id, origin);
            threads.put(origin.messageId(), origin.threadId());
        }
        List<LinkView> links = store.links(me.accountId(), id).stream()
                .map(link -> new LinkView(
                        link.messageId(),
                        threads.getOrDefault(link.messageId(), link.messageId()),
                        link.linkedAt(),
                        json.readValue(link.snapshot(), Snapshot.class)))
                .toList();
        return new FollowUpDetail(
                line(me, followUp, origins, workingTimes.of(me.accountId())), followUp.createdAt(), links);
    }

    @PostMapping("/api/messages/{messageId}/follow-ups/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    Done make(
            @Me SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID messageId,
            @PathVariable UUID id,
            @Valid @RequestBody FollowUpRequest body) {
        return followUps.make(me, commandId, id, messageId, body.content());
    }

    @PutMapping("/api/follow-ups/{id}")
    Done change(
            @Me SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody FollowUpRequest body) {
        return followUps.change(me, commandId, id, version, body.content());
    }

    @PostMapping("/api/follow-ups/{id}/messages/{messageId}")
    Done addMessage(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @PathVariable UUID messageId) {
        return followUps.addMessage(me, commandId, id, messageId);
    }

    @PostMapping("/api/follow-ups/{id}/state")
    Done setState(
            @Me SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam FollowUpState state) {
        return followUps.end(me, commandId, id, version, state);
    }

    private FollowUpLine line(SignedIn me, FollowUp f, Map<UUID, FollowUpOrigin> origins, WorkingTime workingTime) {
        FollowUpOrigin origin = origins.get(f.id());
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), me.zoneId());
        return new FollowUpLine(
                f.id(),
                f.title(),
                f.categoryId(),
                f.replyDay(),
                f.replyTime(),
                f.firm(),
                Standing.of(f.replyBy(), now, workingTime),
                f.effortMinutes(),
                f.forReply(),
                f.answerSeen() != null,
                f.state(),
                f.endedAt(),
                origin == null ? null : new Party(origin.fromName(), origin.fromAddress()).displayName(),
                origin == null ? null : origin.channel(),
                f.version());
    }
}
