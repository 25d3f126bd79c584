package org.squallnote.server.room;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Entering and leaving rooms. */
@RestController
class RoomController {

    private final Membership membership;

    RoomController(Membership membership) {
        this.membership = membership;
    }

    /**
     * A room that I am in.
     *
     * @param people how many are in it, with me
     */
    record RoomView(String id, String name, boolean direct, int people) {}

    /** Answers an invitation into a room. */
    @PostMapping("/api/messages/{id}/room-invitation")
    Done answer(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam boolean accept) {
        return membership.answer(me, commandId, id, accept);
    }

    @GetMapping("/api/sources/{id}/rooms")
    List<RoomView> rooms(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return membership.mine(me.accountId(), id).stream()
                .map(room -> new RoomView(
                        room.roomId(),
                        room.name(),
                        room.direct(),
                        room.members().list().size()))
                .toList();
    }

    @PostMapping("/api/sources/{id}/rooms/leave")
    Done leave(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam @NotBlank @Size(max = 255) String room) {
        return membership.leave(me, commandId, id, room);
    }
}
