package org.squallnote.server.handover;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Party;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Handing over. */
@RestController
class HandOverController {

    private final HandOvers handOvers;
    private final ReceivedHandOvers taking;
    private final Colleagues colleagues;
    private final HandOverBoard board;

    HandOverController(HandOvers handOvers, ReceivedHandOvers taking, Colleagues colleagues, HandOverBoard board) {
        this.board = board;
        this.colleagues = colleagues;
        this.handOvers = handOvers;
        this.taking = taking;
    }

    /** @param followUpId my follow-up about it, which ends with this */
    record HandOverRequest(
            @NotNull @Size(max = 200) String name,
            @NotBlank @Email @Size(max = 320) String address,
            @NotBlank @Size(max = 20_000) String text,
            @Nullable LocalDate wantedDay,
            @Nullable UUID followUpId) {}

    /** The others of this installation. */
    @GetMapping("/api/colleagues")
    List<Colleagues.Colleague> colleagues(@CurrentAccount SignedIn me) {
        return colleagues.of(me);
    }

    record Word(@NotNull @Size(max = 2000) String word) {}

    /**
     * How something is taken over.
     *
     * @param day by when I mean to do it; null where I do not say
     * @param followUp whether I want a follow-up for it
     */
    record AcceptForm(@Nullable LocalDate day, @Nullable Boolean followUp) {}

    @PostMapping("/api/messages/{id}/accept")
    Done accept(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestBody(required = false) @Nullable AcceptForm body) {
        return taking.accept(
                me,
                commandId,
                id,
                body == null ? null : body.day(),
                body != null && Boolean.TRUE.equals(body.followUp()));
    }

    /** The taker has looked at it. */
    @PostMapping("/api/messages/{id}/hand-over/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seen(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        taking.seen(me, id);
    }

    @PostMapping("/api/messages/{id}/hand-over/working")
    Done working(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return taking.working(me, commandId, id);
    }

    @PostMapping("/api/messages/{id}/hand-over/done")
    Done done(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody Word body) {
        return taking.done(me, commandId, id, body.word());
    }

    /** The giver takes it back. */
    @PostMapping("/api/messages/{id}/hand-over/back")
    Done back(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return handOvers.takeBack(me, commandId, id);
    }

    record BoardView(List<HandOverBoard.Given> given, List<HandOverBoard.Received> received) {}

    /** What I gave away, and what I took over or am to. */
    @GetMapping("/api/hand-overs")
    BoardView board(@CurrentAccount SignedIn me) {
        return new BoardView(board.given(me), board.received(me));
    }

    @PostMapping("/api/messages/{id}/decline")
    Done decline(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody Word body) {
        return taking.decline(me, commandId, id, body.word());
    }

    @PostMapping("/api/messages/{id}/hand-over")
    Done handOver(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody HandOverRequest body) {
        return handOvers.handOver(
                me,
                commandId,
                id,
                new Party(body.name(), body.address()),
                body.text(),
                body.wantedDay(),
                body.followUpId());
    }
}
