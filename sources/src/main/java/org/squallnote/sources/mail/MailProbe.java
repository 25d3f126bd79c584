package org.squallnote.sources.mail;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.squallnote.sources.ProbeStep;

/** Tries a mail account step by step and says what works. Nothing is changed or sent. */
public final class MailProbe {

    /**
     * What the attempt found.
     *
     * @param steps in order, up to the first that failed on each server
     * @param folders the folders, when signing in worked
     * @param untrusted the certificate that nobody vouches for, which the user may accept
     */
    public record Result(List<ProbeStep> steps, Optional<MailFolders> folders, Optional<SeenCertificate> untrusted) {

        /** Whether everything worked. */
        public boolean passed() {
            return steps.stream().allMatch(ProbeStep::passed);
        }
    }

    private static final int REACH_TIMEOUT_MILLIS = 8_000;

    private final MailAccount account;
    private final MailConnection connection;
    private final List<ProbeStep> steps = new ArrayList<>();
    private Optional<MailFolders> folders = Optional.empty();
    private Optional<SeenCertificate> untrusted = Optional.empty();

    private MailProbe(MailAccount account) {
        this.account = account;
        this.connection = new MailConnection(account);
    }

    /** Runs the test. */
    public static Result run(MailAccount account) {
        MailProbe test = new MailProbe(account);
        test.tryImap();
        test.trySmtp();
        return new Result(List.copyOf(test.steps), test.folders, test.untrusted);
    }

    private void tryImap() {
        MailSettings.Server server = account.settings().imap();
        if (!reaches("Reach the IMAP server", server)) {
            return;
        }
        try (IMAPStore store = connection.openImap()) {
            steps.add(ProbeStep.passed("Sign in to IMAP", encryption(server)));
            MailFolders found = MailFolders.of(store);
            folders = Optional.of(found);
            steps.add(ProbeStep.passed(
                    "Folders",
                    found.names().size() + " folders. Sent mail: "
                            + found.sent().orElse("none found, please choose") + ". Archive: "
                            + found.archive().orElse("none found, please choose") + "."));
            IMAPFolder inbox = (IMAPFolder) store.getFolder(account.settings().inbox());
            inbox.open(Folder.READ_ONLY);
            steps.add(ProbeStep.passed("Open the inbox", inbox.getMessageCount() + " messages. " + liveness(store)));
        } catch (MessagingException | IllegalArgumentException e) {
            fail(
                    steps.stream().anyMatch(step -> step.name().equals("Sign in to IMAP"))
                            ? "Read the mailbox"
                            : "Sign in to IMAP",
                    e);
        }
    }

    private static String liveness(IMAPStore store) throws MessagingException {
        return store.hasCapability("IDLE")
                ? "New mail is announced at once."
                : "The server does not announce new mail; it is asked every ten seconds.";
    }

    private void trySmtp() {
        MailSettings.Server server = account.settings().smtp();
        if (!reaches("Reach the SMTP server", server)) {
            return;
        }
        try {
            connection.openSmtp(false).close();
            steps.add(ProbeStep.passed("Sign in to SMTP", encryption(server)));
        } catch (MessagingException | IllegalArgumentException e) {
            fail("Sign in to SMTP", e);
        }
    }

    private boolean reaches(String step, MailSettings.Server server) {
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(server.host(), server.port()), REACH_TIMEOUT_MILLIS);
            steps.add(ProbeStep.passed(step, server.host() + " answers on port " + server.port() + "."));
            return true;
        } catch (IOException | IllegalArgumentException e) {
            steps.add(ProbeStep.failed(step, MailProblems.explain(e, connection.trust())));
        }
        return false;
    }

    private void fail(String step, Exception problem) {
        String detail = problem instanceof IllegalArgumentException
                ? String.valueOf(problem.getMessage())
                : MailProblems.explain(problem, connection.trust());
        steps.add(ProbeStep.failed(step, detail));
        if (MailProblems.isCertificateProblem(problem)) {
            untrusted = connection.trust().lastSeen();
        }
    }

    private static String encryption(MailSettings.Server server) {
        return switch (server.encryption()) {
            case TLS -> "Signed in over TLS.";
            case STARTTLS -> "Signed in over STARTTLS.";
            case NONE -> "Signed in without encryption, on this machine.";
        };
    }
}
