package org.squallnote.server.files;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** Takes in a file that was dropped on the page. */
@RestController
class FileController {

    private final FileImport files;

    FileController(FileImport files) {
        this.files = files;
    }

    /**
     * The file is the body of the request, so that one of any size passes through without being kept in memory.
     *
     * @param ofFolder whether it is a part of a folder of messages
     */
    @PostMapping(
            path = "/api/files",
            consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, "message/rfc822", "application/mbox"})
    FileImport.Result take(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "false") boolean ofFolder,
            HttpServletRequest request)
            throws IOException {
        return files.run(me.accountId(), request.getInputStream(), ofFolder);
    }
}
