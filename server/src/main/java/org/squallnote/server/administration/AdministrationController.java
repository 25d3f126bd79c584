package org.squallnote.server.administration;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** For the command line of the same machine and user alone, while the application runs: nobody else gets so far. */
@RestController
class AdministrationController {

    private final Administration administration;

    AdministrationController(Administration administration) {
        this.administration = administration;
    }

    @GetMapping("/api/local/accounts")
    List<String> accounts() {
        return administration.accounts();
    }

    @PostMapping("/api/local/password")
    List<String> password(@RequestParam @Size(max = 200) String signIn) {
        return List.of(administration.newPassword(signIn));
    }

    @GetMapping("/api/local/backup")
    void backup(HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        administration.backUp(response.getOutputStream());
    }
}
