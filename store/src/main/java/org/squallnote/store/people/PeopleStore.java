package org.squallnote.store.people;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.people.OpenWith;
import org.squallnote.core.people.PersonAddress;
import org.squallnote.core.people.PersonCard;
import org.squallnote.core.people.PersonNote;

/** Which addresses are one person, and what I noted of them. */
@Mapper
public interface PeopleStore {

    List<PersonAddress> addresses(UUID owner);

    void insertAddress(@Param("owner") UUID owner, @Param("a") PersonAddress address);

    int deleteAddress(@Param("owner") UUID owner, @Param("address") String address);

    Optional<PersonNote> note(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertNote(PersonNote note);

    int deleteNote(@Param("owner") UUID owner, @Param("id") UUID id);

    /**
     * The threads in which something is open with some, the oldest first.
     *
     * @param mine whether I owe it; else they do
     */
    List<OpenWith> openWith(
            @Param("owner") UUID owner, @Param("mine") boolean mine, @Param("parties") Collection<String> parties);

    List<PersonCard> cards(UUID owner);

    Optional<PersonCard> card(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertCard(@Param("owner") UUID owner, @Param("c") PersonCard card);

    int deleteCard(@Param("owner") UUID owner, @Param("id") UUID id);
}
