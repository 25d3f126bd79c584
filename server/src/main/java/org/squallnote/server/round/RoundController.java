package org.squallnote.server.round;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.round.KeptLine;
import org.squallnote.core.round.RoundState;
import org.squallnote.core.round.RoundStep;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** The weekly walk through everything that is open. */
@RestController
class RoundController {

    private final Walks walks;
    private final RoundSteps steps;

    RoundController(Walks walks, RoundSteps steps) {
        this.walks = walks;
        this.steps = steps;
    }

    /**
     * A step with how many lines it still has.
     *
     * @param kept how many of its lines stay as they are
     */
    record WalkStep(RoundStep step, int left, int kept) {}

    /**
     * How far the walk has come.
     *
     * @param step where it is
     * @param forgotten how many lines are left of which nothing was said and that would be forgotten
     * @param lastFinishedAt when one came to its end last; null where none has
     */
    record WalkView(
            boolean underWay,
            RoundStep step,
            @Nullable Instant startedAt,
            @Nullable Instant lastFinishedAt,
            List<WalkStep> steps,
            int forgotten) {}

    @GetMapping("/api/round")
    WalkView round(@CurrentAccount SignedIn me) {
        RoundState state = walks.of(me.accountId());
        boolean underWay = walks.isUnderWay(state);
        Set<String> kept = walks.kept(me.accountId(), state);
        List<WalkStep> views = new ArrayList<>();
        int forgotten = 0;
        for (RoundStep step : RoundStep.values()) {
            List<RoundLine> lines = steps.lines(me, step);
            int left = (int)
                    lines.stream().filter(line -> !kept.contains(line.key())).count();
            views.add(new WalkStep(step, left, lines.size() - left));
            forgotten += step.forgets() ? left : 0;
        }
        return new WalkView(
                underWay,
                underWay ? state.step() : RoundStep.INTAKE,
                state.startedAt(),
                state.lastFinishedAt(),
                views,
                forgotten);
    }

    /** @param kept how many of its lines stay as they are */
    record WalkLines(List<RoundLine> lines, int kept) {}

    /** What is still to be decided about in a step. */
    @GetMapping("/api/round/lines")
    WalkLines lines(@CurrentAccount SignedIn me, @RequestParam RoundStep step) {
        Set<String> kept = walks.kept(me.accountId(), walks.of(me.accountId()));
        List<RoundLine> all = steps.lines(me, step);
        List<RoundLine> left =
                all.stream().filter(line -> !kept.contains(line.key())).toList();
        return new WalkLines(left, all.size() - left.size());
    }

    @PostMapping("/api/round")
    Done begin(@CurrentAccount SignedIn me, @CommandId UUID commandId) {
        return walks.begin(me, commandId);
    }

    record WalkTo(@NotNull RoundStep step) {}

    /** Goes to another step. */
    @PutMapping("/api/round/step")
    Done goTo(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody WalkTo body) {
        return walks.goTo(me, commandId, body.step());
    }

    /**
     * A line that stays as it is.
     *
     * @param name what it is called, for the way back
     */
    record WalkKept(
            @NotBlank @Size(max = KeptLine.LONGEST) String key,
            @NotNull @Size(max = 1000) String name) {}

    @PostMapping("/api/round/kept")
    Done keep(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody WalkKept body) {
        return walks.keep(me, commandId, body.key(), body.name());
    }

    @PostMapping("/api/round/finished")
    Done finish(@CurrentAccount SignedIn me, @CommandId UUID commandId) {
        return walks.finish(me, commandId);
    }
}
