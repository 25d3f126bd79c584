package org.squallnote.sources.chat;

/** A stretch of a room that is still to be read, backwards from the token. */
public record Gap(String roomId, String token) {}
