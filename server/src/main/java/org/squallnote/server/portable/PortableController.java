package org.squallnote.server.portable;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;

/** The whole account, to be taken along. */
@RestController
class PortableController {

    private static final String ZIP = "application/zip";

    private final AccountExport export;
    private final Clock clock;

    PortableController(AccountExport export, Clock clock) {
        this.export = export;
        this.clock = clock;
    }

    /** All of it in one ZIP of open formats, as it is at this moment. */
    @GetMapping(path = "/api/account/export", produces = ZIP)
    void export(@CurrentAccount SignedIn me, HttpServletResponse response) throws IOException {
        response.setContentType(ZIP);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                Download.disposition("squallnote-" + LocalDate.ofInstant(clock.instant(), me.zoneId()) + ".zip"));
        export.write(me.accountId(), response.getOutputStream());
    }
}
