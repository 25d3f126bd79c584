package org.squallnote.core.account;

import java.time.Instant;
import java.util.UUID;

/**
 * A passkey of an account: the public half of a key pair, whose private half stays in a device.
 *
 * @param credentialId by which the device knows it
 * @param label what its owner calls it
 * @param host the name of this installation that it was made for, and works at
 * @param publicKey as COSE key (RFC 9052)
 * @param signatureCount how often the device says to have used it; stays zero where devices do not count
 * @param verified whether the device has made sure who uses it
 * @param transports how a browser reaches the device, separated by spaces
 * @param backedUp whether it lies on several devices now
 * @param attestation what the device said of itself when the key was made
 * @param clientData what the browser signed for then
 */
public record Passkey(
        UUID id,
        UUID owner,
        byte[] credentialId,
        String label,
        String host,
        byte[] publicKey,
        long signatureCount,
        boolean verified,
        String transports,
        boolean backupEligible,
        boolean backedUp,
        byte[] attestation,
        byte[] clientData,
        Instant createdAt,
        Instant lastUsedAt) {}
