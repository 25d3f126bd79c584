package org.squallnote.store.message;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Where the bytes of messages are. */
@Mapper
public interface RawMailStore {

    /** Bytes in the database. */
    record Raw(byte[] raw) {}

    /** Bytes in a file. */
    record Content(String sha256, long size) {}

    @Select("select raw from message_raw where owner = #{owner} and message_id = #{id}")
    Optional<Raw> raw(@Param("owner") UUID owner, @Param("id") UUID id);

    @Select("select sha256, size from message_content where owner = #{owner} and message_id = #{id}")
    Optional<Content> content(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert("insert into message_raw (message_id, owner, raw) values (#{id}, #{owner}, #{raw})")
    void insertRaw(@Param("owner") UUID owner, @Param("id") UUID id, @Param("raw") byte[] raw);

    @Insert("insert into message_content (message_id, owner, sha256, size)"
            + " values (#{id}, #{owner}, #{sha256}, #{size})")
    void insertContent(
            @Param("owner") UUID owner, @Param("id") UUID id, @Param("sha256") String sha256, @Param("size") long size);

    /** Of all accounts: which files are in use. */
    @Select("select distinct sha256 from message_content")
    List<String> contents();
}
