package org.squallnote.store.settings;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.settings.SettingsRow;

/** Settings of accounts, and rules about senders and lists. */
@Mapper
public interface SettingsStore {

    Optional<SettingsRow> of(UUID owner);

    int update(@Param("owner") UUID owner, @Param("settings") AccountSettings settings);

    void insert(@Param("owner") UUID owner, @Param("settings") AccountSettings settings);

    default void save(UUID owner, AccountSettings settings) {
        if (update(owner, settings) == 0) {
            insert(owner, settings);
        }
    }

    List<PartyRule> rules(UUID owner);

    Optional<PartyRule> rule(@Param("owner") UUID owner, @Param("party") String party);

    int updateRule(@Param("owner") UUID owner, @Param("r") PartyRule rule);

    void insertRule(@Param("owner") UUID owner, @Param("r") PartyRule rule);

    default void saveRule(UUID owner, PartyRule rule) {
        if (updateRule(owner, rule) == 0) {
            insertRule(owner, rule);
        }
    }

    void deleteRule(@Param("owner") UUID owner, @Param("party") String party);
}
