package org.squallnote.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.account.SecondFactor;

/** Second factors and recovery codes. */
@Mapper
public interface SecondFactorStore {

    Optional<SecondFactor> of(UUID owner);

    /** Of all accounts those that a password alone does not sign in to; for administrators. */
    List<UUID> allOwners();

    void insert(@Param("owner") UUID owner, @Param("secret") byte[] secret);

    /**
     * Takes a code's step, once.
     *
     * @return zero when it or a later one was taken before
     */
    int takeStep(@Param("owner") UUID owner, @Param("step") long step);

    int delete(UUID owner);

    void insertCode(@Param("owner") UUID owner, @Param("digest") String digest);

    int countCodes(UUID owner);

    /**
     * Takes a recovery code, once.
     *
     * @return zero when there is none such
     */
    int takeCode(@Param("owner") UUID owner, @Param("digest") String digest);

    int deleteCodes(UUID owner);
}
