package org.squallnote.store.access;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.access.AccessToken;

/** What scripts show to act for an account. */
@Mapper
public interface AccessTokenStore {

    List<AccessToken> of(UUID owner);

    /** Whoever knows the token acts for its account. */
    Optional<AccessToken> byToken(@Param("tokenHash") String tokenHash);

    void insert(AccessToken token);

    int noteUse(@Param("owner") UUID owner, @Param("id") UUID id, @Param("at") Instant at);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
