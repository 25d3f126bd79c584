package org.squallnote.server.administration;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.LocalToken;
import org.squallnote.server.problem.Refusal;

/** For the command line of the same machine and user alone, while the application runs; see {@link LocalToken}. */
@RestController
class AdministrationController {

    private final Administration administration;
    private final LocalToken local;

    AdministrationController(Administration administration, LocalToken local) {
        this.administration = administration;
        this.local = local;
    }

    @GetMapping("/api/local/accounts")
    List<String> accounts(HttpServletRequest request) {
        check(request);
        return administration.accounts();
    }

    @PostMapping("/api/local/password")
    List<String> password(HttpServletRequest request, @RequestParam @Size(max = 200) String signIn) {
        check(request);
        return List.of(administration.newPassword(signIn));
    }

    @GetMapping("/api/local/backup")
    void backup(HttpServletRequest request, HttpServletResponse response) throws IOException {
        check(request);
        response.setContentType("application/zip");
        administration.backUp(response.getOutputStream());
    }

    private void check(HttpServletRequest request) {
        if (!local.isPresentedBy(request)) {
            throw Refusal.forbidden(
                    "This is for commands on the machine of the application alone. Nothing was changed.");
        }
    }
}
