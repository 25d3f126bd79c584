package org.squallnote.store.message;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Where the bytes of messages are. */
@Mapper
public interface RawMailStore {

    /** Bytes in the database. */
    record Raw(byte[] raw) {}

    /** Bytes in a file. */
    record Content(String sha256, long size) {}

    Optional<Raw> raw(@Param("owner") UUID owner, @Param("id") UUID id);

    Optional<Content> content(@Param("owner") UUID owner, @Param("id") UUID id);

    /** How often the bytes of a message are kept, here or in a file: once or not at all. */
    int count(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertRaw(@Param("owner") UUID owner, @Param("id") UUID id, @Param("raw") byte[] raw);

    void insertContent(
            @Param("owner") UUID owner, @Param("id") UUID id, @Param("sha256") String sha256, @Param("size") long size);

    int deleteRaw(@Param("owner") UUID owner, @Param("id") UUID id);

    int deleteContent(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Of all accounts: which files are in use. */
    List<String> contents();
}
