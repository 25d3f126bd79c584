package org.squallnote.server.account;

import java.nio.ByteBuffer;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.AuthenticatorTransport;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.squallnote.core.account.Passkey;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.account.PasskeyStore;

/** The passkeys of one of this installation's names, as Spring Security wants them. */
final class PasskeyRecords implements UserCredentialRepository {

    private static final int MOST = 20;

    private final PasskeyStore store;
    private final UuidV7 ids;
    private final Clock clock;
    private final String host;

    PasskeyRecords(PasskeyStore store, UuidV7 ids, Clock clock, String host) {
        this.store = store;
        this.ids = ids;
        this.clock = clock;
        this.host = host;
    }

    /** The user handle of an account: its id, which says nothing of the person. */
    static Bytes handle(UUID account) {
        return new Bytes(ByteBuffer.allocate(16)
                .putLong(account.getMostSignificantBits())
                .putLong(account.getLeastSignificantBits())
                .array());
    }

    /** The account of a user handle; empty when it is none of ours. */
    static Optional<UUID> account(Bytes handle) {
        if (handle.getBytes().length != 16) {
            return Optional.empty();
        }
        ByteBuffer bytes = ByteBuffer.wrap(handle.getBytes());
        return Optional.of(new UUID(bytes.getLong(), bytes.getLong()));
    }

    @Override
    public void save(CredentialRecord credential) {
        UUID owner = account(credential.getUserEntityUserId()).orElseThrow();
        int known = store.used(
                owner,
                credential.getCredentialId().getBytes(),
                credential.getSignatureCount(),
                credential.isUvInitialized(),
                credential.isBackupState(),
                clock.instant());
        if (known > 0) {
            return;
        }
        if (store.count(owner) >= MOST) {
            throw Refusal.conflict("There are " + MOST
                    + " passkeys already. Remove one that is not used any more, then add this one.");
        }
        store.insert(new Passkey(
                ids.next(),
                owner,
                credential.getCredentialId().getBytes(),
                credential.getLabel(),
                host,
                credential.getPublicKey().getBytes(),
                credential.getSignatureCount(),
                credential.isUvInitialized(),
                credential.getTransports().stream()
                        .map(AuthenticatorTransport::getValue)
                        .limit(10)
                        .collect(Collectors.joining(" ")),
                credential.isBackupEligible(),
                credential.isBackupState(),
                bytes(credential.getAttestationObject()),
                bytes(credential.getAttestationClientDataJSON()),
                clock.instant(),
                clock.instant()));
    }

    private static byte[] bytes(@Nullable Bytes bytes) {
        return bytes == null ? new byte[0] : bytes.getBytes();
    }

    @Override
    @Nullable
    public CredentialRecord findByCredentialId(Bytes credentialId) {
        return store.byCredential(credentialId.getBytes())
                .filter(passkey -> passkey.host().equals(host))
                .map(PasskeyRecords::record)
                .orElse(null);
    }

    @Override
    public List<CredentialRecord> findByUserId(Bytes userId) {
        return account(userId).map(store::of).orElseGet(List::of).stream()
                .filter(passkey -> passkey.host().equals(host))
                .map(PasskeyRecords::record)
                .toList();
    }

    private static CredentialRecord record(Passkey passkey) {
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(new Bytes(passkey.credentialId()))
                .userEntityUserId(handle(passkey.owner()))
                .publicKey(new ImmutablePublicKeyCose(passkey.publicKey()))
                .signatureCount(passkey.signatureCount())
                .uvInitialized(passkey.verified())
                .transports(transports(passkey.transports()))
                .backupEligible(passkey.backupEligible())
                .backupState(passkey.backedUp())
                .attestationObject(new Bytes(passkey.attestation()))
                .attestationClientDataJSON(new Bytes(passkey.clientData()))
                .label(passkey.label())
                .created(passkey.createdAt())
                .lastUsed(passkey.lastUsedAt())
                .build();
    }

    private static Set<AuthenticatorTransport> transports(String text) {
        return Arrays.stream(text.split(" "))
                .filter(value -> !value.isEmpty())
                .flatMap(value -> Stream.ofNullable(AuthenticatorTransport.valueOf(value)))
                .collect(Collectors.toSet());
    }

    /** Passkeys are removed by their owner, see {@link Passkeys#remove}. */
    @Override
    public void delete(Bytes credentialId) {
        throw new UnsupportedOperationException("Passkeys are removed by their owner");
    }
}
