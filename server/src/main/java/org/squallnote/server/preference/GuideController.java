package org.squallnote.server.preference;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** Whether the views still explain themselves. */
@RestController
class GuideController {

    private final KeptGuide kept;

    GuideController(KeptGuide kept) {
        this.kept = kept;
    }

    @GetMapping("/api/guide")
    KeptGuide.Guide guide(@CurrentAccount SignedIn me) {
        return kept.of(me.accountId());
    }

    @PutMapping("/api/guide")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void choose(@CurrentAccount SignedIn me, @RequestBody KeptGuide.Guide body) {
        kept.save(me.accountId(), body);
    }
}
