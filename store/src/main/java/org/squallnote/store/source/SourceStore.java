package org.squallnote.store.source;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.source.ChatGap;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Cursor;
import org.squallnote.core.source.DirectRoom;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceStatus;

/** Sources and their cursors. */
@Mapper
public interface SourceStore {

    /** The connected sources of all accounts, for the engine that keeps them in step. */
    List<Source> connected();

    List<Source> of(UUID owner);

    Optional<Source> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** All addresses that are mine, of disconnected sources too. */
    List<String> addresses(UUID owner);

    void insert(Source source);

    int update(Source source);

    void setStatus(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("status") SourceStatus status,
            @Param("text") String text,
            @Param("done") int done,
            @Param("total") int total);

    Optional<Cursor> cursor(@Param("owner") UUID owner, @Param("id") UUID id, @Param("scope") String scope);

    int updateCursor(@Param("owner") UUID owner, @Param("id") UUID id, @Param("cursor") Cursor cursor);

    void insertCursor(@Param("owner") UUID owner, @Param("id") UUID id, @Param("cursor") Cursor cursor);

    default void saveCursor(UUID owner, UUID id, Cursor cursor) {
        if (updateCursor(owner, id, cursor) == 0) {
            insertCursor(owner, id, cursor);
        }
    }

    List<ChatGap> gaps(@Param("owner") UUID owner, @Param("id") UUID id);

    int countGap(@Param("owner") UUID owner, @Param("id") UUID id, @Param("gap") ChatGap gap);

    void insertGap(@Param("owner") UUID owner, @Param("id") UUID id, @Param("gap") ChatGap gap);

    default void saveGap(UUID owner, UUID id, ChatGap gap) {
        if (countGap(owner, id, gap) == 0) {
            insertGap(owner, id, gap);
        }
    }

    void deleteGap(@Param("owner") UUID owner, @Param("id") UUID id, @Param("gap") ChatGap gap);

    List<ChatRoom> rooms(@Param("owner") UUID owner, @Param("id") UUID id);

    /** The rooms with somebody alone of what is connected. */
    List<DirectRoom> directRooms(UUID owner);

    List<ChatRoom> allRooms(UUID owner);

    Optional<ChatRoom> room(@Param("owner") UUID owner, @Param("roomId") String roomId);

    int updateRoom(@Param("owner") UUID owner, @Param("id") UUID id, @Param("room") ChatRoom room);

    void insertRoom(@Param("owner") UUID owner, @Param("id") UUID id, @Param("room") ChatRoom room);

    default void saveRoom(UUID owner, UUID id, ChatRoom room) {
        if (updateRoom(owner, id, room) == 0) {
            insertRoom(owner, id, room);
        }
    }

    /** The moment the source was added, for deciding what comes to Intake. */
    Instant addedAt(@Param("owner") UUID owner, @Param("id") UUID id);
}
