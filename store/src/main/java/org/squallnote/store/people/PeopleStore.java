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

    Optional<PersonAddress> address(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertAddress(@Param("owner") UUID owner, @Param("a") PersonAddress address);

    int deleteAddress(@Param("owner") UUID owner, @Param("id") UUID id);

    Optional<PersonNote> note(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Of several people. */
    List<PersonNote> notes(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    void insertNote(PersonNote note);

    int deleteNote(@Param("owner") UUID owner, @Param("id") UUID id);

    /**
     * The threads in which something is open with some, the oldest first.
     *
     * @param mine whether I owe it; else they do
     */
    List<OpenWith> openWith(
            @Param("owner") UUID owner, @Param("mine") boolean mine, @Param("parties") Collection<String> parties);

    /** Those of some people. */
    List<PersonCard> cards(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    /**
     * Those in which all of some words stand, by name.
     *
     * @param patterns each word in lower case, as {@code like} wants it
     */
    List<PersonCard> cardsLike(
            @Param("owner") UUID owner, @Param("patterns") List<String> patterns, @Param("most") int most);

    Optional<PersonCard> card(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertCard(@Param("owner") UUID owner, @Param("c") PersonCard card);

    int deleteCard(@Param("owner") UUID owner, @Param("id") UUID id);
}
