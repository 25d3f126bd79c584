package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.Refusal;

/** Settings › Account: a code of a device beside the password. Each change needs the password once more. */
@RestController
class SecondFactorController {

    private final SecondFactors factors;
    private final Sessions sessions;

    SecondFactorController(SecondFactors factors, Sessions sessions) {
        this.factors = factors;
        this.sessions = sessions;
    }

    /**
     * What is asked for beside a password.
     *
     * @param on whether codes of a device are
     * @param passwordIsNotEnough whether those are, or there are passkeys
     */
    record SecondFactorView(boolean on, boolean passwordIsNotEnough, int recoveryCodesLeft) {}

    record Code(@Size(max = 40) String code) {}

    /**
     * What a device needs to give codes.
     *
     * @param secret in Base32, to type in
     * @param address the same as devices read it from a picture
     */
    record Begun(String secret, String address) {}

    /** Shown once. */
    record RecoveryCodes(List<String> codes) {}

    @GetMapping("/api/second-factor")
    SecondFactorView state(@CurrentAccount SignedIn me) {
        return new SecondFactorView(
                factors.hasDevice(me.accountId()),
                factors.isOn(me.accountId()),
                factors.recoveryCodesLeft(me.accountId()));
    }

    @PostMapping("/api/second-factor/begin")
    Begun begin(@CurrentAccount SignedIn me, @Valid @RequestBody Proof body, HttpServletRequest request) {
        Account account = sessions.prove(me, body.currentPassword(), request);
        if (factors.hasDevice(me.accountId())) {
            throw Refusal.conflict("A second factor is asked for already. Switch it off first to use another device.");
        }
        String secret = factors.begin(me.accountId());
        String label = URLEncoder.encode("Squallnote:" + account.signIn(), StandardCharsets.UTF_8)
                .replace("+", "%20");
        return new Begun(
                secret, "otpauth://totp/" + label + "?secret=" + secret + "&issuer=Squallnote&digits=6&period=30");
    }

    @PostMapping("/api/second-factor/confirm")
    RecoveryCodes confirm(@CurrentAccount SignedIn me, @Valid @RequestBody Code body) {
        return new RecoveryCodes(
                factors.confirm(me.accountId(), body.code().strip())
                        .orElseThrow(
                                () -> Refusal.field(
                                        "code",
                                        "This is not the code that the device shows now. Check that its clock is right, then type the next one.")));
    }

    @PostMapping("/api/second-factor/recovery-codes")
    RecoveryCodes renew(@CurrentAccount SignedIn me, @Valid @RequestBody Proof body, HttpServletRequest request) {
        sessions.prove(me, body.currentPassword(), request);
        if (!factors.isOn(me.accountId())) {
            throw Refusal.conflict(
                    "No second factor is asked for, so there is nothing to recover. Nothing was changed.");
        }
        return new RecoveryCodes(factors.newRecoveryCodes(me.accountId()));
    }

    @PostMapping("/api/second-factor/off")
    SecondFactorView off(@CurrentAccount SignedIn me, @Valid @RequestBody Proof body, HttpServletRequest request) {
        sessions.prove(me, body.currentPassword(), request);
        factors.off(me.accountId());
        return state(me);
    }
}
