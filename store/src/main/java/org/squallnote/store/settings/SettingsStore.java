package org.squallnote.store.settings;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.settings.SettingsRow;

/** Settings of accounts, and rules about senders and lists. */
@Mapper
public interface SettingsStore {

    @Select("select settings from account_settings where owner = #{owner}")
    Optional<SettingsRow> of(UUID owner);

    @Update("merge into account_settings (owner, settings) key (owner) values (#{owner}, #{settings})")
    void save(@Param("owner") UUID owner, @Param("settings") AccountSettings settings);

    @Select(
            "select party, asks, reply_days, past_intake, made_at from party_rule where owner = #{owner} order by party")
    List<PartyRule> rules(UUID owner);

    @Select(
            "select party, asks, reply_days, past_intake, made_at from party_rule where owner = #{owner} and party = #{party}")
    Optional<PartyRule> rule(@Param("owner") UUID owner, @Param("party") String party);

    @Update("merge into party_rule (owner, party, asks, reply_days, past_intake, made_at) key (owner, party)"
            + " values (#{owner}, #{r.party}, #{r.asks}, #{r.replyDays}, #{r.pastIntake}, #{r.madeAt})")
    void saveRule(@Param("owner") UUID owner, @Param("r") PartyRule rule);

    @Delete("delete from party_rule where owner = #{owner} and party = #{party}")
    void deleteRule(@Param("owner") UUID owner, @Param("party") String party);
}
