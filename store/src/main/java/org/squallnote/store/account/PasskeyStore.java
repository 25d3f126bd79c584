package org.squallnote.store.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.account.Passkey;

/** Passkeys. */
@Mapper
public interface PasskeyStore {

    @Insert("insert into passkey (id, owner, credential_id, label, host, public_key, signature_count, verified,"
            + " transports, backup_eligible, backed_up, attestation, client_data, created_at, last_used_at) values (#{id},"
            + " #{owner}, #{credentialId}, #{label}, #{host}, #{publicKey}, #{signatureCount}, #{verified}, #{transports},"
            + " #{backupEligible}, #{backedUp}, #{attestation}, #{clientData}, #{createdAt}, #{lastUsedAt})")
    void insert(Passkey passkey);

    @Select("select * from passkey where owner = #{owner} order by created_at, id")
    List<Passkey> of(UUID owner);

    @Select("select count(*) from passkey where owner = #{owner}")
    int count(UUID owner);

    /** The only one that asks for no owner: the key tells who it is. */
    @Select("select * from passkey where credential_id = #{credentialId}")
    Optional<Passkey> byCredential(byte[] credentialId);

    /** Notes a use. */
    @Update("update passkey set signature_count = #{signatureCount}, verified = #{verified}, backed_up = #{backedUp},"
            + " last_used_at = #{at} where owner = #{owner} and credential_id = #{credentialId}")
    int used(
            @Param("owner") UUID owner,
            @Param("credentialId") byte[] credentialId,
            @Param("signatureCount") long signatureCount,
            @Param("verified") boolean verified,
            @Param("backedUp") boolean backedUp,
            @Param("at") Instant at);

    @Delete("delete from passkey where owner = #{owner} and id = #{id}")
    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    @Delete("delete from passkey where owner = #{owner}")
    int deleteAll(UUID owner);
}
