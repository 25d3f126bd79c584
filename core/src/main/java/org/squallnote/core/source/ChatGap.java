package org.squallnote.core.source;

/** A stretch of a room that is still to be read backwards from the token. */
public record ChatGap(String roomId, String token) {}
