package org.squallnote.sources.mail;

import java.time.Instant;

/** A certificate that a server showed. */
public record SeenCertificate(String subject, String issuer, Instant validUntil, String sha256) {}
