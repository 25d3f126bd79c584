package org.squallnote.sources.chat;

/**
 * How to reach a chat account.
 *
 * @param homeserver the base address, such as {@code https://chat.merrowquay.example}
 * @param userId the full user id, once signed in
 * @param deviceId names this installation to the server, so that a repeated send is recognised
 */
public record ChatSettings(String homeserver, String userId, String deviceId) {}
