package org.squallnote.store.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.account.Passkey;

/** Passkeys. */
@Mapper
public interface PasskeyStore {

    void insert(Passkey passkey);

    List<Passkey> of(UUID owner);

    int count(UUID owner);

    /** The only one that asks for no owner: the key tells who it is. */
    Optional<Passkey> byCredential(byte[] credentialId);

    /** Notes a use. */
    int used(
            @Param("owner") UUID owner,
            @Param("credentialId") byte[] credentialId,
            @Param("signatureCount") long signatureCount,
            @Param("verified") boolean verified,
            @Param("backedUp") boolean backedUp,
            @Param("at") Instant at);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    int deleteAll(UUID owner);
}
