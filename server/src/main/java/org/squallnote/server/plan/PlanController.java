package org.squallnote.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.plan.Band;
import org.squallnote.core.plan.TypedBlock;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** Changes of what is planned, and the clock of what is worked at. */
@RestController
class PlanController {

    private static final int MOST_AT_ONCE = 500;

    private final Plans plans;
    private final Stints stints;
    private final BlockCalendar blockCalendar;

    PlanController(Plans plans, Stints stints, BlockCalendar blockCalendar) {
        this.blockCalendar = blockCalendar;
        this.plans = plans;
        this.stints = stints;
    }

    record WishForm(UUID followUpId, LocalDate day) {}

    record WishesForm(@NotEmpty @Size(max = MOST_AT_ONCE) List<@Valid @NotNull WishForm> wishes) {}

    record FollowUpIds(@NotEmpty @Size(max = MOST_AT_ONCE) List<@NotNull UUID> ids) {}

    record OrderForm(
            LocalDate day,
            Band band,
            @NotEmpty @Size(max = MOST_AT_ONCE) List<@NotNull UUID> inOrder) {}

    /**
     * Time that was spent.
     *
     * @param day on which it was; left out where it was up to now
     * @param from when it began on that day
     */
    record SpentForm(
            @Min(1) @Max(1440) int minutes,
            @Nullable LocalDate day,
            @Nullable LocalTime from) {}

    /**
     * A time of its own in a day.
     *
     * @param words as it is typed, "2pm 1h", which counts for the other two; empty for none
     * @param at when it begins; absent for no time of its own
     * @param minutes how long; absent for as long as it is expected to take
     */
    record StartForm(
            LocalDate day,
            @Nullable @Size(max = TypedBlock.LONGEST) String words,
            @Nullable LocalTime at,
            @Nullable @Min(5) @Max(1440) Integer minutes) {}

    /** Plans some, each for its day; what a proposal would move is accepted so too. */
    @PostMapping("/api/plan")
    Done plan(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody WishesForm body) {
        return plans.plan(
                me,
                commandId,
                body.wishes().stream()
                        .map(wish -> new Plans.Wish(wish.followUpId(), wish.day()))
                        .toList());
    }

    /** Takes some out of their days. */
    @PostMapping("/api/plan/out")
    Done takeOut(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody FollowUpIds body) {
        return plans.takeOut(me, commandId, body.ids());
    }

    /** Puts a band of a day in an order. */
    @PutMapping("/api/plan/order")
    Done order(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody OrderForm body) {
        return plans.order(me, commandId, body.day(), body.band(), body.inOrder());
    }

    /** Gives one a time of its own in the day, or none. */
    @PutMapping("/api/plan/{followUpId}/start")
    Done startAt(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID followUpId,
            @Valid @RequestBody StartForm body) {
        String words = body.words();
        if (words == null || words.isBlank()) {
            LocalTime at = words == null ? body.at() : null;
            return plans.startAt(me, commandId, followUpId, body.day(), at, body.minutes());
        }
        TypedBlock typed = TypedBlock.read(words)
                .orElseThrow(() -> Refusal.field(
                        "words",
                        "“" + words + "” says no time of the day. Try “2pm 1h”, “14:00” or “14-15:30”. Nothing was"
                                + " changed."));
        return plans.startAt(
                me,
                commandId,
                followUpId,
                body.day(),
                typed.at(),
                typed.minutes().orElse(null));
    }

    record BlockCalendarForm(@Nullable UUID calendarId) {}

    /** The calendar that blocks are written into. */
    @GetMapping("/api/settings/blocks")
    BlockCalendarForm blockCalendar(@CurrentAccount SignedIn me) {
        return new BlockCalendarForm(blockCalendar.chosen(me.accountId()).calendarId());
    }

    @PutMapping("/api/settings/blocks")
    Done chooseBlockCalendar(
            @CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody BlockCalendarForm body) {
        return blockCalendar.choose(me, commandId, body.calendarId());
    }

    @PostMapping("/api/follow-ups/{id}/work/start")
    Done start(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return stints.start(me, commandId, id);
    }

    @PostMapping("/api/follow-ups/{id}/work/stop")
    Done stop(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return stints.stop(me, commandId, id);
    }

    /** Time that was spent without the clock. */
    @PostMapping("/api/follow-ups/{id}/work")
    Done add(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody SpentForm body) {
        Optional<LocalDateTime> from = body.day() == null || body.from() == null
                ? Optional.empty()
                : Optional.of(body.day().atTime(body.from()));
        return stints.add(me, commandId, id, body.minutes(), from);
    }
}
