package org.squallnote.server.command;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** History and undo. */
@RestController
class HistoryController {

    private final Undo undo;
    private final History history;

    HistoryController(Undo undo, History history) {
        this.history = history;
        this.undo = undo;
    }

    record HistoryLineView(UUID commandId, Instant at, String actor, String label, boolean undone) {}

    @GetMapping("/api/history/{subjectId}")
    List<HistoryLineView> ofSubject(@CurrentAccount SignedIn me, @PathVariable UUID subjectId) {
        return history.of(me.accountId(), subjectId).stream()
                .map(line ->
                        new HistoryLineView(line.commandId(), line.at(), line.actor(), line.label(), line.undone()))
                .toList();
    }

    /** A change that can be taken back. */
    record LastChange(UUID commandId, String label) {}

    /** What "undo" means to somebody who has just loaded the page; null when there is nothing. */
    record LastChangeView(@Nullable LastChange last) {}

    @GetMapping("/api/commands/last")
    LastChangeView last(@CurrentAccount SignedIn me) {
        return new LastChangeView(history.lastOf(me)
                .map(command -> new LastChange(command.id(), command.label()))
                .orElse(null));
    }

    /**
     * A change of a day.
     *
     * @param mine whether the user made it; what else happened by itself
     */
    record ChangeView(UUID commandId, Instant at, String label, boolean mine, boolean undone) {}

    record ChangesView(LocalDate day, List<ChangeView> changes) {}

    @GetMapping("/api/commands")
    ChangesView ofDay(@CurrentAccount SignedIn me, @RequestParam Optional<LocalDate> day) {
        LocalDate of = day.orElseGet(() -> history.today(me));
        return new ChangesView(
                of,
                history.of(me, of).stream()
                        .map(change -> new ChangeView(
                                change.commandId(),
                                change.at(),
                                change.label(),
                                change.actor().equals(me.name()),
                                change.undone()))
                        .toList());
    }

    @PostMapping("/api/commands/{commandId}/undo")
    Done undo(@CurrentAccount SignedIn me, @CommandId UUID undoId, @PathVariable UUID commandId) {
        return undo.undo(me, undoId, commandId);
    }
}
