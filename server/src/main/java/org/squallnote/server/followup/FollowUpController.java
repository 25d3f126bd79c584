package org.squallnote.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
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
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.followup.Snapshot;
import org.squallnote.core.followup.TypedWaiting;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.repetition.TypedRepetition;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;
import tools.jackson.databind.json.JsonMapper;

/** Follow-ups. */
@RestController
class FollowUpController {

    /** More at once are a mistake, or somebody else's list. */
    private static final int MOST_AT_ONCE = 200;

    private final FollowUps followUps;
    private final WorkingTimes workingTimes;
    private final Clock clock;
    private final JsonMapper json;
    private final FollowUpList list;
    private final WaitingReader waitingWords;
    private final Repeats repeats;

    FollowUpController(
            FollowUps followUps,
            WorkingTimes workingTimes,
            Clock clock,
            JsonMapper json,
            FollowUpList list,
            WaitingReader waitingWords,
            Repeats repeats) {
        this.repeats = repeats;
        this.list = list;
        this.waitingWords = waitingWords;
        this.followUps = followUps;
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
            @Nullable Priority priority,
            @Nullable Boolean forReply,
            @Nullable @Valid DetailsRequest details) {

        Content content() {
            return new Content(
                    title,
                    replyDay,
                    replyTime,
                    firm,
                    categoryId,
                    effortMinutes,
                    priority,
                    forReply,
                    details == null ? null : details.details());
        }
    }

    record DetailsRequest(
            @Nullable LocalDate startDay,
            @Size(max = 60) String place,
            @Size(max = 50) List<@Valid PersonRequest> people,
            @Size(max = 100) List<@Valid StepRequest> checklist,
            @Size(max = 20_000) String note) {

        Content.Details details() {
            return new Content.Details(
                    startDay,
                    place,
                    people.stream()
                            .map(person -> new Party(person.name(), person.address()))
                            .toList(),
                    checklist.stream()
                            .map(step -> new Checklist.Item(step.text(), step.done()))
                            .toList(),
                    note);
        }
    }

    record PersonRequest(
            @Size(max = 200) String name, @Size(max = 320) String address) {}

    record StepRequest(@Size(max = 500) String text, boolean done) {}

    /**
     * A follow-up to be made.
     *
     * @param sentence the sentence of the message that it is about, empty for the whole
     * @param repeats how it comes back, in words; absent or empty for once
     */
    record NewFollowUpRequest(
            UUID id,
            @Size(max = 1000) String sentence,
            @NotNull @Valid FollowUpRequest content,
            @Nullable @Size(max = TypedRepetition.LONGEST) String repeats) {

        FollowUps.NewFollowUp made() {
            return new FollowUps.NewFollowUp(id, content.content(), sentence, repeats == null ? "" : repeats);
        }
    }

    record NewFollowUps(@NotEmpty @Size(max = MOST_AT_ONCE) List<@Valid NewFollowUpRequest> followUps) {}

    /** @param waiting those that wait for something */
    record FollowUpsView(
            List<FollowUpLine> open,
            List<FollowUpLine> waiting,
            List<FollowUpLine> later,
            List<FollowUpLine> ended,
            int undated) {}

    /** @param repeats how it comes back, in words; null for once */
    record FollowUpDetail(
            FollowUpLine line,
            List<Checklist.Item> checklist,
            String note,
            @Nullable String repeats,
            Instant createdAt,
            List<LinkView> messages) {}

    /**
     * A message of a follow-up.
     *
     * @param sentence the sentence that it is about, empty for the whole
     * @param textNow what the message says now, when its writer has changed it
     * @param removedNow whether its writer has taken it back
     */
    record LinkView(
            UUID messageId,
            UUID threadId,
            Instant linkedAt,
            String sentence,
            Snapshot snapshot,
            @Nullable String textNow,
            boolean removedNow) {}

    @GetMapping("/api/follow-ups")
    FollowUpsView all(@CurrentAccount SignedIn me) {
        FollowUpList.Shown shown = list.of(me);
        WorkingTime workingTime = workingTimes.of(me.accountId());
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), me.zoneId());
        Function<List<FollowUp>, List<FollowUpLine>> lines = followUps -> followUps.stream()
                .map(each -> FollowUpLine.of(
                        each,
                        Optional.ofNullable(shown.origins().get(each.id())),
                        shown.repeating().contains(each.id()),
                        workingTime,
                        now))
                .toList();
        return new FollowUpsView(
                lines.apply(shown.open()),
                lines.apply(shown.waiting()),
                lines.apply(shown.later()),
                lines.apply(shown.ended()),
                shown.undated());
    }

    @GetMapping("/api/follow-ups/{id}")
    FollowUpDetail one(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        FollowUp followUp = followUps.get(me.accountId(), id);
        FollowUpList.One one = list.one(followUp);
        return new FollowUpDetail(
                FollowUpLine.of(
                        followUp,
                        one.origin(),
                        repeats.of(me.accountId(), id).isPresent(),
                        workingTimes.of(me.accountId()),
                        LocalDateTime.ofInstant(clock.instant(), me.zoneId())),
                followUp.checklist().items(),
                followUp.note(),
                repeats.words(me.accountId(), id).orElse(null),
                followUp.createdAt(),
                one.messages().stream().map(this::link).toList());
    }

    private LinkView link(FollowUpList.Linked linked) {
        Snapshot snapshot = json.readValue(linked.link().snapshot(), Snapshot.class);
        return new LinkView(
                linked.link().messageId(),
                linked.threadId(),
                linked.link().linkedAt(),
                linked.link().sentence(),
                snapshot,
                linked.now()
                        .map(message -> Snapshot.of(message).text())
                        .filter(text -> !text.equals(snapshot.text()))
                        .orElse(null),
                linked.now().filter(StoredMessage::removed).isPresent());
    }

    @PostMapping("/api/messages/{messageId}/follow-ups/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    Done make(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID messageId,
            @PathVariable UUID id,
            @Valid @RequestBody FollowUpRequest body) {
        return followUps.make(me, commandId, messageId, List.of(new FollowUps.NewFollowUp(id, body.content(), "", "")));
    }

    /** Several of one message in one go, each with its sentence. */
    @PostMapping("/api/messages/{messageId}/follow-ups")
    @ResponseStatus(HttpStatus.CREATED)
    Done makeEach(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID messageId,
            @Valid @RequestBody NewFollowUps body) {
        return followUps.make(me, commandId, messageId, made(body));
    }

    /** Follow-ups that come from no message. */
    @PostMapping("/api/follow-ups")
    @ResponseStatus(HttpStatus.CREATED)
    Done capture(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody NewFollowUps body) {
        return followUps.capture(me, commandId, made(body));
    }

    private static List<FollowUps.NewFollowUp> made(NewFollowUps body) {
        return body.followUps().stream().map(NewFollowUpRequest::made).toList();
    }

    /** @param following whether those that come after it in its series are to be like it too */
    @PutMapping("/api/follow-ups/{id}")
    Done change(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(defaultValue = "false") boolean following,
            @Valid @RequestBody FollowUpRequest body) {
        return followUps.change(me, commandId, id, version, body.content(), following);
    }

    @PostMapping("/api/follow-ups/{id}/messages/{messageId}")
    Done addMessage(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID messageId) {
        return followUps.addMessage(me, commandId, id, messageId);
    }

    /**
     * What a follow-up waits for; nothing at all for no longer.
     *
     * @param person somebody's next word
     * @param threadId the next word of somebody else in a thread
     * @param until a day, at the latest
     */
    record WaitingRequest(
            @Nullable @Valid PersonRequest person,
            @Nullable UUID threadId,
            @Nullable LocalDate until) {

        @Nullable
        Waiting waiting(Instant since) {
            return person == null && threadId == null && until == null
                    ? null
                    : new Waiting(
                            person == null
                                    ? null
                                    : new Party(
                                            person.name().strip(),
                                            person.address().strip()),
                            threadId,
                            until,
                            since,
                            null,
                            null);
        }
    }

    /** @param words what is to be waited for, as it is typed */
    record WaitingWords(
            @NotNull @Size(max = TypedWaiting.LONGEST) String words) {}

    /**
     * What typed words let a follow-up wait for.
     *
     * @param words the same in full, empty where they say nothing
     */
    record WaitingRead(
            @Nullable Party person,
            @Nullable UUID threadId,
            @Nullable LocalDate until,
            String words) {}

    /** Reads what a follow-up is to wait for, as it is typed. */
    @PostMapping("/api/follow-ups/{id}/waiting/read")
    WaitingRead readWaiting(@CurrentAccount SignedIn me, @PathVariable UUID id, @Valid @RequestBody WaitingWords body) {
        Optional<Waiting> read = waitingWords.read(me, followUps.get(me.accountId(), id), body.words());
        return new WaitingRead(
                read.map(Waiting::person).orElse(null),
                read.map(Waiting::threadId).orElse(null),
                read.map(Waiting::until).orElse(null),
                read.map(WaitingFollowUps::words).orElse(""));
    }

    /** Lets a follow-up wait for somebody, a thread or a day, whichever comes first. */
    @PutMapping("/api/follow-ups/{id}/waiting")
    Done waitFor(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody WaitingRequest body) {
        return followUps.waitFor(me, commandId, id, version, body.waiting(clock.instant()));
    }

    @PutMapping("/api/follow-ups/{id}/priority")
    Done weigh(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Priority priority) {
        return followUps.weigh(me, commandId, id, version, priority);
    }

    /**
     * Out of sight until a day.
     *
     * @param pastReplyBy whether it may be a day after its firm reply-by date, which stays as it is
     */
    @PostMapping("/api/follow-ups/{id}/put-off")
    Done putOff(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam LocalDate until,
            @RequestParam(defaultValue = "false") boolean pastReplyBy) {
        return followUps.putOff(me, commandId, id, version, until, pastReplyBy);
    }

    @PostMapping("/api/follow-ups/{id}/state")
    Done setState(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam FollowUpState state) {
        return followUps.end(me, commandId, id, version, state);
    }
}
