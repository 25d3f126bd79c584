package org.squallnote.server.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.account.ZoneName;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Settings › Account: who I am and where. */
@RestController
class ProfileController {

    private final KeptProfile profile;

    ProfileController(KeptProfile profile) {
        this.profile = profile;
    }

    record ProfileForm(
            @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 60) String zone) {}

    @PutMapping("/api/account")
    Done change(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ProfileForm body) {
        return profile.save(me, commandId, new KeptProfile.Profile(body.name().strip(), ZoneName.known(body.zone())));
    }
}
