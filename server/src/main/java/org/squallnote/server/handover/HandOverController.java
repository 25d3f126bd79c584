package org.squallnote.server.handover;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
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

    HandOverController(HandOvers handOvers, ReceivedHandOvers taking, Colleagues colleagues) {
        this.colleagues = colleagues;
        this.handOvers = handOvers;
        this.taking = taking;
    }

    record HandOverRequest(
            @NotNull @Size(max = 200) String name,
            @NotBlank @Email @Size(max = 320) String address,
            @NotBlank @Size(max = 20_000) String text) {}

    /** The others of this installation. */
    @GetMapping("/api/colleagues")
    List<Colleagues.Colleague> colleagues(@CurrentAccount SignedIn me) {
        return colleagues.of(me);
    }

    record Word(@NotNull @Size(max = 2000) String word) {}

    @PostMapping("/api/messages/{id}/accept")
    Done accept(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return taking.accept(me, commandId, id);
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
        return handOvers.handOver(me, commandId, id, new Party(body.name(), body.address()), body.text());
    }
}
