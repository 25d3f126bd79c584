package org.squallnote.server.installation;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;

/** The settings of the installation, for its administrators. */
@RestController
class InstallationController {

    private final Installation installation;

    InstallationController(Installation installation) {
        this.installation = installation;
    }

    /**
     * The settings.
     *
     * @param hosts the names by which it answers, beside those of its own machine; none for any
     * @param localNetworkForAll whether every account may connect to servers inside the local network
     */
    record InstallationView(
            @Size(max = 20) List<@Size(max = 253) @Pattern(regexp = "[A-Za-z0-9.:\\[\\]-]+") String> hosts,
            boolean localNetworkForAll) {}

    @GetMapping("/api/installation")
    InstallationView settings(@CurrentAccount SignedIn me) {
        administrator(me);
        return new InstallationView(installation.hosts(), installation.localNetworkForAll());
    }

    @PutMapping("/api/installation")
    InstallationView change(
            @CurrentAccount SignedIn me, @Valid @RequestBody InstallationView body, HttpServletRequest request) {
        administrator(me);
        List<String> hosts = body.hosts().stream()
                .map(host -> host.toLowerCase(Locale.ROOT))
                .distinct()
                .toList();
        String here = request.getServerName().toLowerCase(Locale.ROOT);
        if (!hosts.isEmpty() && !Installation.isThisMachine(here) && !hosts.contains(here)) {
            throw Refusal.field(
                    "hosts",
                    "Without " + here + " in the list this page would no longer be answered. Nothing was changed.");
        }
        installation.setHosts(hosts);
        installation.setLocalNetworkForAll(body.localNetworkForAll());
        return settings(me);
    }

    private static void administrator(SignedIn me) {
        if (!me.administrator()) {
            throw Refusal.forbidden("Only the administrator of this installation sees and changes this. Ask them.");
        }
    }
}
