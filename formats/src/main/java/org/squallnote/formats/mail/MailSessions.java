package org.squallnote.formats.mail;

import jakarta.mail.Session;
import java.util.Properties;

/** The settings under which Jakarta Mail reads: as tolerant as it can be. */
public final class MailSessions {

    static {
        // Jakarta Mail reads these once, from the system properties, when its classes are loaded.
        tolerate("mail.mime.base64.ignoreerrors", "true");
        tolerate("mail.mime.ignoreunknownencoding", "true");
        tolerate("mail.mime.multipart.ignoremissingboundaryparameter", "true");
        tolerate("mail.mime.multipart.ignoremissingendboundary", "true");
        tolerate("mail.mime.multipart.allowempty", "true");
        tolerate("mail.mime.parameters.strict", "false");
        tolerate("mail.mime.decodetext.strict", "false");
        tolerate("mail.mime.decodeparameters", "true");
        tolerate("mail.mime.uudecode.ignoreerrors", "true");
        tolerate("mail.mime.uudecode.ignoremissingbeginend", "true");
        tolerate("mail.mime.ignoremultipartencoding", "true");
    }

    private MailSessions() {}

    private static void tolerate(String property, String value) {
        if (System.getProperty(property) == null) {
            System.setProperty(property, value);
        }
    }

    static Session forReading() {
        Properties properties = tolerant();
        // Bytes that were never encoded come as they are, one character each, and are decoded by what they are.
        properties.setProperty("mail.mime.allowutf8", "false");
        return Session.getInstance(properties);
    }

    /** Session properties for reading; whoever opens a session of Jakarta Mail starts from these. */
    public static Properties tolerant() {
        Properties properties = new Properties();
        properties.setProperty("mail.mime.address.strict", "false");
        properties.setProperty("mail.mime.allowutf8", "true");
        return properties;
    }
}
