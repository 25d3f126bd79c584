package org.squallnote.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.repetition.Occurrence;
import org.squallnote.core.repetition.RepetitionWords;
import org.squallnote.core.repetition.TypedRepetition;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;

/** How follow-ups come back. */
@RestController
class RepetitionController {

    private static final int SHOWN = 4;

    private final Repeats repeats;
    private final FollowUps followUps;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    RepetitionController(Repeats repeats, FollowUps followUps, WorkingTimes workingTimes, Clock clock) {
        this.repeats = repeats;
        this.followUps = followUps;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    record RepeatsForm(
            @NotBlank @Size(max = TypedRepetition.LONGEST) String words) {}

    /**
     * A rhythm that was typed.
     *
     * @param words the same in full; empty when what was typed says none
     * @param days the first days of it
     */
    record RhythmView(String words, List<LocalDate> days) {}

    /** Understands a rhythm while it is typed. */
    @PostMapping("/api/repetition/read")
    RhythmView read(@CurrentAccount SignedIn me, @Valid @RequestBody RepeatsForm body) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        return repeats.read(me.accountId(), body.words())
                .map(typed -> new RhythmView(
                        RepetitionWords.of(typed.repetition()),
                        typed.repetition().upcoming(typed.from().orElse(today), SHOWN, workingTime).stream()
                                .map(Occurrence::day)
                                .toList()))
                .orElse(new RhythmView("", List.of()));
    }

    /** Lets one come back. */
    @PutMapping("/api/follow-ups/{id}/repetition")
    Done repeat(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody RepeatsForm body) {
        return followUps.repeat(me, commandId, id, version, body.words());
    }

    /** Lets one come back no more; it stays itself, and so does what was done. */
    @DeleteMapping("/api/follow-ups/{id}/repetition")
    Done endSeries(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return followUps.endSeries(me, commandId, id);
    }
}
