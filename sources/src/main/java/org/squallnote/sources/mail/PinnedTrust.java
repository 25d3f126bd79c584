package org.squallnote.sources.mail;

import java.net.Socket;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.cert.CertificateEncodingException;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.Optional;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLEngine;
import javax.net.ssl.SSLSocketFactory;
import javax.net.ssl.TrustManager;
import javax.net.ssl.TrustManagerFactory;
import javax.net.ssl.X509ExtendedTrustManager;
import org.jspecify.annotations.Nullable;

/**
 * Trusts what this machine trusts, and one certificate more that the user has accepted. Remembers the last
 * certificate seen, so that it can be shown when it is not trusted.
 */
final class PinnedTrust extends X509ExtendedTrustManager {

    private final X509ExtendedTrustManager system;
    private final Optional<String> pinned;
    private @Nullable X509Certificate lastSeen;

    PinnedTrust(Optional<String> pinned) {
        this.system = systemTrust();
        this.pinned = pinned;
    }

    SSLSocketFactory socketFactory() {
        try {
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(null, new TrustManager[] {this}, null);
            return context.getSocketFactory();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("This Java installation has no TLS", e);
        }
    }

    /** The certificate that the server showed last, as a sentence and its SHA-256. */
    Optional<SeenCertificate> lastSeen() {
        return Optional.ofNullable(lastSeen)
                .map(c -> new SeenCertificate(
                        c.getSubjectX500Principal().getName(),
                        c.getIssuerX500Principal().getName(),
                        c.getNotAfter().toInstant(),
                        sha256(c)));
    }

    private boolean accepts(X509Certificate[] chain) {
        lastSeen = chain[0];
        return pinned.filter(sha256(chain[0])::equals).isPresent();
    }

    static String sha256(X509Certificate certificate) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded());
            return HexFormat.ofDelimiter(":").withUpperCase().formatHex(digest);
        } catch (NoSuchAlgorithmException | CertificateEncodingException e) {
            throw new IllegalStateException("A certificate without a digest", e);
        }
    }

    private static X509ExtendedTrustManager systemTrust() {
        try {
            TrustManagerFactory factory = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
            factory.init((KeyStore) null);
            for (TrustManager manager : factory.getTrustManagers()) {
                if (manager instanceof X509ExtendedTrustManager found) {
                    return found;
                }
            }
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("This Java installation has no trusted certificates", e);
        }
        throw new IllegalStateException("This Java installation has no trusted certificates");
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String authType, Socket socket)
            throws CertificateException {
        if (!accepts(chain)) {
            system.checkServerTrusted(chain, authType, socket);
        }
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String authType, SSLEngine engine)
            throws CertificateException {
        if (!accepts(chain)) {
            system.checkServerTrusted(chain, authType, engine);
        }
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String authType) throws CertificateException {
        if (!accepts(chain)) {
            system.checkServerTrusted(chain, authType);
        }
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String authType, Socket socket)
            throws CertificateException {
        throw new CertificateException("Clients are not checked here");
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String authType, SSLEngine engine)
            throws CertificateException {
        throw new CertificateException("Clients are not checked here");
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String authType) throws CertificateException {
        throw new CertificateException("Clients are not checked here");
    }

    @Override
    public X509Certificate[] getAcceptedIssuers() {
        return system.getAcceptedIssuers();
    }
}
