package org.squallnote.server.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.account.SecondFactor;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.Seals;
import org.squallnote.server.secret.UnreadableSecretException;
import org.squallnote.store.account.PasskeyStore;
import org.squallnote.store.account.SecondFactorStore;

/**
 * What is asked for beside a password. Codes of a device (TOTP, RFC 6238: six digits, thirty seconds, SHA-1 as all devices
 * know it) are taken once each; the one before and the one after are taken too, since clocks differ. Where there are
 * passkeys, the password alone signs nobody in either. Recovery codes are for the day a device is lost.
 */
@Component
class SecondFactors {

    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_CODES = 10;
    private static final int RECOVERY_LETTERS = 16;
    private static final int STEP_SECONDS = 30;

    private static final Base32 BASE32 = new Base32();

    private final SecondFactorStore store;
    private final PasskeyStore passkeys;
    private final Seals seals;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final TimeBasedOneTimePasswordGenerator generator = new TimeBasedOneTimePasswordGenerator();
    private final SecureRandom random = new SecureRandom();

    SecondFactors(
            SecondFactorStore store, PasskeyStore passkeys, Seals seals, Clock clock, TransactionTemplate transaction) {
        this.store = store;
        this.passkeys = passkeys;
        this.seals = seals;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** Whether a password alone does not sign in to the account. */
    boolean isOn(UUID owner) {
        return hasDevice(owner) || passkeys.count(owner) > 0;
    }

    /** The accounts that a password alone does not sign in to. */
    Set<UUID> allOn() {
        return Set.copyOf(store.allOwners());
    }

    /** Whether a device gives codes for the account. */
    boolean hasDevice(UUID owner) {
        return store.of(owner).filter(SecondFactor::confirmed).isPresent();
    }

    int recoveryCodesLeft(UUID owner) {
        return store.countCodes(owner);
    }

    /** Makes a secret, which counts once a code of it is given; answers it in Base32. */
    String begin(UUID owner) {
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        transaction.executeWithoutResult(status -> {
            store.delete(owner);
            store.insert(owner, seals.encrypted(owner, secret));
        });
        return BASE32.encodeToString(secret);
    }

    /** Takes the first code of a new secret; answers the recovery codes, empty when the code is not right. */
    Optional<List<String>> confirm(UUID owner, String code) {
        return takesDevice(owner, code) ? Optional.of(newRecoveryCodes(owner)) : Optional.empty();
    }

    /** Takes a code of the device, or a recovery code; each only once. */
    boolean takes(UUID owner, String code) {
        String plain = code.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        return plain.length() == RECOVERY_LETTERS
                ? store.takeCode(owner, digest(owner, plain)) == 1
                : takesDevice(owner, plain);
    }

    private boolean takesDevice(UUID owner, String code) {
        Optional<SecondFactor> factor = store.of(owner);
        if (factor.isEmpty() || !code.matches("\\d{6}")) {
            return false;
        }
        SecretKeySpec key = new SecretKeySpec(secretOf(owner, factor.get()), generator.getAlgorithm());
        long now = clock.instant().getEpochSecond() / STEP_SECONDS;
        for (long step = now - 1; step <= now + 1; step++) {
            if (MessageDigest.isEqual(
                    code.getBytes(StandardCharsets.US_ASCII), codeOf(key, step).getBytes(StandardCharsets.US_ASCII))) {
                return store.takeStep(owner, step) == 1;
            }
        }
        return false;
    }

    private byte[] secretOf(UUID owner, SecondFactor factor) {
        try {
            return seals.decrypted(owner, factor.secret());
        } catch (UnreadableSecretException e) {
            throw Refusal.field(
                    "code",
                    "The codes of the device cannot be checked any more, since the key file is another one now. Sign in with"
                            + " a recovery code, then set the device up again.");
        }
    }

    private String codeOf(SecretKeySpec key, long step) {
        try {
            return generator.generateOneTimePasswordString(
                    key, Instant.ofEpochSecond(step * STEP_SECONDS), Locale.ROOT);
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("This Java installation cannot compute a code", e);
        }
    }

    /** New recovery codes; the ones before are of no use any more. */
    List<String> newRecoveryCodes(UUID owner) {
        List<String> codes = new ArrayList<>();
        transaction.executeWithoutResult(status -> {
            store.deleteCodes(owner);
            for (int i = 0; i < RECOVERY_CODES; i++) {
                byte[] bytes = new byte[RECOVERY_LETTERS * 5 / 8];
                random.nextBytes(bytes);
                String code = BASE32.encodeToString(bytes);
                store.insertCode(owner, digest(owner, code));
                codes.add(code.replaceAll("(.{4})(?=.)", "$1-").toLowerCase(Locale.ROOT));
            }
        });
        return codes;
    }

    /** Recovery codes for an account that has none; empty for one that has. */
    List<String> firstRecoveryCodes(UUID owner) {
        return recoveryCodesLeft(owner) == 0 ? newRecoveryCodes(owner) : List.of();
    }

    /** Asks for no codes of a device any more. */
    void off(UUID owner) {
        transaction.executeWithoutResult(status -> {
            store.delete(owner);
            forgetUnneededCodes(owner);
        });
    }

    /** Recovery codes go when there is nothing left to recover from. */
    void forgetUnneededCodes(UUID owner) {
        if (!isOn(owner)) {
            store.deleteCodes(owner);
        }
    }

    /** For somebody who has lost everything: the password alone signs in again. */
    void allOff(UUID owner) {
        transaction.executeWithoutResult(status -> {
            store.delete(owner);
            passkeys.deleteAll(owner);
            store.deleteCodes(owner);
        });
    }

    /** Eighty random bits need no slow hash; and it does not depend on the key file, which may be lost as well. */
    private static String digest(UUID owner, String code) {
        return DigestUtils.sha256Hex(owner + " " + code);
    }
}
