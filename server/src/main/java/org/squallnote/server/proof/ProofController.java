package org.squallnote.server.proof;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.Size;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;

/** What was asked and answered, as a page, as PDF, and with its messages as ZIP. Nothing is changed by it. */
@RestController
class ProofController {

    private static final String ZIP = "application/zip";

    private final Proofs proofs;
    private final ProofArchive archive;

    ProofController(Proofs proofs, ProofArchive archive) {
        this.proofs = proofs;
        this.archive = archive;
    }

    @GetMapping("/api/threads/{id}/proof")
    Proved ofThread(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return proofs.ofThread(me, id);
    }

    @GetMapping(path = "/api/threads/{id}/proof.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paperOfThread(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return paper(proofs.ofThread(me, id));
    }

    @GetMapping(path = "/api/threads/{id}/proof.zip", produces = ZIP)
    void archiveOfThread(@CurrentAccount SignedIn me, @PathVariable UUID id, HttpServletResponse response)
            throws IOException {
        archive(me, proofs.ofThread(me, id), response);
    }

    /**
     * Of all threads with somebody, of a category or of some days; at least one of them is to be said.
     *
     * @param person one of their addresses
     * @param from the first day on which something was asked, in the account's zone
     * @param to the last one
     */
    @GetMapping("/api/record/proof")
    Proved ofSome(
            @CurrentAccount SignedIn me,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to) {
        return proofs.of(me, wish(person, category, from, to));
    }

    /** The same as PDF. */
    @GetMapping(path = "/api/record/proof.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paperOfSome(
            @CurrentAccount SignedIn me,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to) {
        return paper(proofs.of(me, wish(person, category, from, to)));
    }

    /** The same with its messages. */
    @GetMapping(path = "/api/record/proof.zip", produces = ZIP)
    void archiveOfSome(
            @CurrentAccount SignedIn me,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to,
            HttpServletResponse response)
            throws IOException {
        archive(me, proofs.of(me, wish(person, category, from, to)), response);
    }

    private static Proofs.Wish wish(
            @Nullable String person, @Nullable UUID category, @Nullable LocalDate from, @Nullable LocalDate to) {
        return new Proofs.Wish(person == null || person.isBlank() ? null : person.strip(), category, from, to);
    }

    private static ResponseEntity<byte[]> paper(Proved proof) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ProofPaper.write(proof, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Download.of("proof.pdf", MediaType.APPLICATION_PDF, bytes.toByteArray());
    }

    private void archive(SignedIn me, Proved proof, HttpServletResponse response) throws IOException {
        response.setContentType(ZIP);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, Download.disposition("proof.zip"));
        archive.write(me.accountId(), proof, response.getOutputStream());
    }
}
