package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.account.Account;
import org.squallnote.core.account.Passkey;
import org.squallnote.store.account.PasskeyStore;
import org.squallnote.store.account.SecondFactorStore;

class AccountStoreTest extends StoreTest {

    @Autowired
    private SecondFactorStore factors;

    @Autowired
    private PasskeyStore passkeys;

    @Test
    void momentsAreExactWhateverTheClocksDo() {
        assertThat(accounts.byId(owner).orElseThrow().createdAt()).isEqualTo(CLOCK_CHANGE);
        assertThat(accounts.bySignIn(owner.toString()).map(Account::id)).contains(owner);
        assertThat(accounts.bySignIn("nobody")).isEmpty();
    }

    @Test
    void aCodeOfADeviceIsTakenOnceAndNoneOfBefore() {
        factors.insert(owner, new byte[] {1});
        assertThat(factors.of(owner).orElseThrow().confirmed()).isFalse();
        assertThat(factors.takeStep(stranger, 7)).isZero();
        assertThat(factors.takeStep(owner, 7)).isEqualTo(1);
        assertThat(factors.takeStep(owner, 7)).isZero();
        assertThat(factors.takeStep(owner, 6)).isZero();
        assertThat(factors.of(owner).orElseThrow().confirmed()).isTrue();
    }

    @Test
    void aRecoveryCodeIsTakenOnceAndByItsOwner() {
        factors.insertCode(owner, "digest");
        assertThat(factors.takeCode(stranger, "digest")).isZero();
        assertThat(factors.takeCode(owner, "digest")).isEqualTo(1);
        assertThat(factors.takeCode(owner, "digest")).isZero();
        assertThat(factors.countCodes(owner)).isZero();
    }

    @Test
    void aPasskeyIsFoundByWhatTheDeviceSaysAndRemovedByItsOwner() {
        UUID id = UUID.randomUUID();
        byte[] credential = id.toString().getBytes(StandardCharsets.US_ASCII);
        passkeys.insert(new Passkey(
                id,
                owner,
                credential,
                "Phone",
                "localhost",
                new byte[] {1},
                0,
                true,
                "internal",
                false,
                false,
                new byte[] {2},
                new byte[] {3},
                CLOCK_CHANGE,
                CLOCK_CHANGE));
        assertThat(passkeys.used(owner, credential, 4, true, true, CLOCK_CHANGE.plusSeconds(1)))
                .isEqualTo(1);
        assertThat(passkeys.used(stranger, credential, 9, true, true, CLOCK_CHANGE))
                .isZero();
        Passkey found = passkeys.byCredential(credential).orElseThrow();
        assertThat(found.owner()).isEqualTo(owner);
        assertThat(found.signatureCount()).isEqualTo(4);
        assertThat(found.lastUsedAt()).isEqualTo(CLOCK_CHANGE.plusSeconds(1));
        assertThat(passkeys.delete(stranger, id)).isZero();
        assertThat(passkeys.delete(owner, id)).isEqualTo(1);
        assertThat(passkeys.of(owner)).isEmpty();
    }
}
