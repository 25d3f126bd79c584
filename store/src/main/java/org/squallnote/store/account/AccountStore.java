package org.squallnote.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.account.Account;

/** Accounts. The only store without an owner: it holds the owners. */
@Mapper
public interface AccountStore {

    @Select("select count(*) from account")
    int count();

    @Select("select * from account order by created_at")
    List<Account> all();

    @Select("select * from account where sign_in = #{signIn}")
    Optional<Account> bySignIn(String signIn);

    @Select("select * from account where id = #{id}")
    Optional<Account> byId(UUID id);

    @Insert("insert into account (id, sign_in, name, password_hash, zone, administrator, created_at) "
            + "values (#{id}, #{signIn}, #{name}, #{passwordHash}, #{zone}, #{administrator}, #{createdAt})")
    void insert(Account account);

    @Update("update account set name = #{name}, zone = #{zone}, password_hash = #{passwordHash} where id = #{id}")
    int update(Account account);
}
