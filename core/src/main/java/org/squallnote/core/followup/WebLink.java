package org.squallnote.core.followup;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.text.Beginning;

/** An address that belongs to a follow-up, with what it is called. */
public record WebLink(UUID id, UUID followUpId, String url, String title) {

    private static final Set<String> SCHEMES = Set.of("http", "https", "mailto", "tel");
    private static final int LONGEST = 2_000;
    private static final int LONGEST_TITLE = 300;

    /**
     * One as it was typed. Without a scheme it is a page of the web; without a title it is called by where it leads.
     *
     * @throws IllegalArgumentException when it is no such address
     */
    public static WebLink typed(UUID id, UUID followUpId, String url, String title) {
        String address = url.strip();
        if (!address.matches("[A-Za-z][A-Za-z0-9+.-]*:.*") || address.matches("[\\w.-]+:\\d+(/.*)?")) {
            address = "https://" + address;
        }
        URI uri;
        try {
            uri = new URI(address);
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException(refusal(), e);
        }
        String scheme = String.valueOf(uri.getScheme()).toLowerCase(Locale.ROOT);
        boolean web = scheme.startsWith("http");
        boolean leads = web
                ? uri.getHost() != null && uri.getHost().contains(".")
                : !uri.getSchemeSpecificPart().isBlank();
        if (address.length() > LONGEST || !SCHEMES.contains(scheme) || !leads || uri.getUserInfo() != null) {
            throw new IllegalArgumentException(refusal());
        }
        String named = title.strip();
        if (named.isEmpty()) {
            String path = uri.getPath() == null ? "" : uri.getPath();
            named = web ? uri.getHost() + (path.equals("/") ? "" : path) : uri.getSchemeSpecificPart();
        }
        return new WebLink(id, followUpId, address, Beginning.onOneLine(named, LONGEST_TITLE));
    }

    private static String refusal() {
        return "This is no address that a browser opens: one begins with https://, http://, mailto: or tel:. Nothing"
                + " was changed.";
    }
}
