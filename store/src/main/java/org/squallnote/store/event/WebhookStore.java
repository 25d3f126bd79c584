package org.squallnote.store.event;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.event.Webhook;

/** Addresses to which events are sent. */
@Mapper
public interface WebhookStore {

    List<Webhook> of(UUID owner);

    Optional<Webhook> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Those of all accounts to which something may be sent now. */
    List<Webhook> due(@Param("now") Instant now);

    void insert(Webhook webhook);

    /** Keeps how far it has come; nothing where it was taken away meanwhile. */
    int update(Webhook webhook);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
