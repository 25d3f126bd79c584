package org.squallnote.server.account;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.store.account.AccountStore;

/** The accounts, as Spring Security wants them for passkeys. */
@Component
class PasskeyUsers implements PublicKeyCredentialUserEntityRepository {

    private final AccountStore accounts;

    PasskeyUsers(AccountStore accounts) {
        this.accounts = accounts;
    }

    @Override
    @Nullable
    public PublicKeyCredentialUserEntity findById(Bytes handle) {
        return entity(PasskeyRecords.account(handle).flatMap(accounts::byId));
    }

    @Override
    @Nullable
    public PublicKeyCredentialUserEntity findByUsername(String signIn) {
        return entity(accounts.bySignIn(signIn));
    }

    @Nullable
    private static PublicKeyCredentialUserEntity entity(Optional<Account> account) {
        return account.map(found -> ImmutablePublicKeyCredentialUserEntity.builder()
                        .id(PasskeyRecords.handle(found.id()))
                        .name(found.signIn())
                        .displayName(found.name())
                        .build())
                .orElse(null);
    }

    /** Accounts are made elsewhere. */
    @Override
    public void save(PublicKeyCredentialUserEntity entity) {
        throw new UnsupportedOperationException("Accounts are not made by passkeys");
    }

    /** Accounts are removed elsewhere. */
    @Override
    public void delete(Bytes handle) {
        throw new UnsupportedOperationException("Accounts are not removed by passkeys");
    }
}
