package org.squallnote.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.account.SecondFactor;

/** Second factors and recovery codes. */
@Mapper
public interface SecondFactorStore {

    @Select("select secret, confirmed, last_step from second_factor where owner = #{owner}")
    Optional<SecondFactor> of(UUID owner);

    /** Of all accounts those that a password alone does not sign in to; for administrators. */
    @Select("select owner from second_factor where confirmed union select owner from passkey")
    List<UUID> allOwners();

    @Insert("insert into second_factor (owner, secret, confirmed, last_step) values (#{owner}, #{secret}, false, 0)")
    void insert(@Param("owner") UUID owner, @Param("secret") byte[] secret);

    /**
     * Takes a code's step, once.
     *
     * @return zero when it or a later one was taken before
     */
    @Update("update second_factor set last_step = #{step}, confirmed = true where owner = #{owner}"
            + " and last_step < #{step}")
    int takeStep(@Param("owner") UUID owner, @Param("step") long step);

    @Delete("delete from second_factor where owner = #{owner}")
    int delete(UUID owner);

    @Insert("insert into recovery_code (owner, digest) values (#{owner}, #{digest})")
    void insertCode(@Param("owner") UUID owner, @Param("digest") String digest);

    @Select("select count(*) from recovery_code where owner = #{owner}")
    int countCodes(UUID owner);

    /**
     * Takes a recovery code, once.
     *
     * @return zero when there is none such
     */
    @Delete("delete from recovery_code where owner = #{owner} and digest = #{digest}")
    int takeCode(@Param("owner") UUID owner, @Param("digest") String digest);

    @Delete("delete from recovery_code where owner = #{owner}")
    int deleteCodes(UUID owner);
}
