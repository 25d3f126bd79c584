package org.squallnote.server.proof;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.proof.Proved.ProvedMessage;
import org.squallnote.server.proof.Proved.ProvedThread;

/**
 * Puts a proof with its messages into one ZIP: the paper, each message as it came, and their digests in the form that
 * {@code sha256sum --check} reads.
 */
@Component
class ProofArchive {

    private static final String PAPER = "proof.pdf";
    private static final String SUMS = "SHA256SUMS";

    private final Proofs proofs;

    ProofArchive(Proofs proofs) {
        this.proofs = proofs;
    }

    void write(UUID owner, Proved proof, OutputStream to) throws IOException {
        ByteArrayOutputStream paper = new ByteArrayOutputStream();
        ProofPaper.write(proof, paper);
        StringBuilder sums = new StringBuilder();
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        entry(zip, proof, PAPER);
        paper.writeTo(zip);
        zip.closeEntry();
        sums.append(DigestUtils.sha256Hex(paper.toByteArray()))
                .append("  ")
                .append(PAPER)
                .append('\n');
        for (ProvedThread thread : proof.threads()) {
            for (ProvedMessage message : thread.messages()) {
                Optional<RawMail> raw = message.file().isEmpty() ? Optional.empty() : proofs.raw(owner, message.id());
                if (raw.isPresent()) {
                    entry(zip, proof, message.file());
                    try (InputStream bytes = MailParser.whole(raw.get())) {
                        bytes.transferTo(zip);
                    }
                    zip.closeEntry();
                    sums.append(message.sha256())
                            .append("  ")
                            .append(message.file())
                            .append('\n');
                }
            }
        }
        entry(zip, proof, SUMS);
        zip.write(sums.toString().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        zip.finish();
        zip.flush();
    }

    private static void entry(ZipOutputStream zip, Proved proof, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(proof.madeAt().toEpochMilli());
        zip.putNextEntry(entry);
    }
}
