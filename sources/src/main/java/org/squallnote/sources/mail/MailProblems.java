package org.squallnote.sources.mail;

import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.FolderNotFoundException;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.security.cert.CertPathBuilderException;
import java.security.cert.CertificateExpiredException;
import java.security.cert.CertificateNotYetValidException;
import javax.net.ssl.SSLException;
import org.eclipse.angus.mail.util.MailConnectException;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Reason;

/** Says in a sentence what went wrong with a mail server, and what to do. */
final class MailProblems {

    private MailProblems() {}

    static String explain(Throwable problem, PinnedTrust trust) {
        if (find(problem, AuthenticationFailedException.class)) {
            return "The server refused the user name or password. Check both; some providers want an app password.";
        }
        if (find(problem, Reach.OutOfReachException.class)) {
            return String.valueOf(problem.getMessage());
        }
        if (find(problem, UnknownHostException.class)) {
            return "There is no server of this name. Check the spelling of the host.";
        }
        if (find(problem, CertificateExpiredException.class) || find(problem, CertificateNotYetValidException.class)) {
            return "The server's certificate is out of date" + seen(trust)
                    + ". Ask whoever runs the server to renew it, or accept this certificate.";
        }
        if (find(problem, CertPathBuilderException.class)) {
            return "No authority known to this machine vouches for the server's certificate" + seen(trust)
                    + ". If you know this server, accept this certificate; else do not sign in.";
        }
        if (mentions(problem, "No subject alternative")
                || mentions(problem, "Server is not trusted")
                || mentions(problem, "No name matching")) {
            return "The server's certificate belongs to another name" + seen(trust)
                    + ". Use the name in the certificate as host, or accept this certificate.";
        }
        if (mentions(problem, "STARTTLS is required")) {
            return "This server does not offer STARTTLS here. Try TLS, usually on port 993 for IMAP and 465 for SMTP.";
        }
        if (find(problem, SSLException.class)) {
            return "No encrypted connection came about. The port may not speak TLS; try STARTTLS.";
        }
        if (find(problem, SocketTimeoutException.class)) {
            return "The server did not answer in time. Check host and port, and whether a firewall is between.";
        }
        if (find(problem, ConnectException.class) || find(problem, MailConnectException.class)) {
            return "Nothing answers on this port. Check host and port; the server may also be down.";
        }
        if (find(problem, FolderNotFoundException.class)) {
            return "The folder is no longer on the server. Choose another one in the settings of this source.";
        }
        return "The server answered: " + Reason.of(problem);
    }

    private static String seen(PinnedTrust trust) {
        return trust.lastSeen()
                .map(c -> " (for " + c.subject() + ", by " + c.issuer() + ", valid until "
                        + c.validUntil().toString().substring(0, 10) + ")")
                .orElse("");
    }

    static boolean isCertificateProblem(Throwable problem) {
        return find(problem, CertPathBuilderException.class)
                || find(problem, CertificateExpiredException.class)
                || mentions(problem, "No subject alternative")
                || mentions(problem, "Server is not trusted")
                || mentions(problem, "No name matching");
    }

    private static boolean find(Throwable problem, Class<? extends Throwable> type) {
        for (Throwable t = problem; t != null; t = t.getCause()) {
            if (type.isInstance(t)) {
                return true;
            }
        }
        return false;
    }

    private static boolean mentions(Throwable problem, String text) {
        for (Throwable t = problem; t != null; t = t.getCause()) {
            if (t.getMessage() != null && t.getMessage().contains(text)) {
                return true;
            }
        }
        return false;
    }
}
