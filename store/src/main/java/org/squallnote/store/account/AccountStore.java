package org.squallnote.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.squallnote.core.account.Account;

/** Accounts. The only store without an owner: it holds the owners. */
@Mapper
public interface AccountStore {

    int count();

    List<Account> all();

    Optional<Account> bySignIn(String signIn);

    Optional<Account> byId(UUID id);

    void insert(Account account);

    int update(Account account);
}
