package org.squallnote.server.command;

import java.util.UUID;

/** Takes back what a command has set going outside of the database. */
public interface TakeBack {

    /** Cancels or reverses it, or refuses where that is no longer possible. */
    void takeBack(UUID owner, UUID commandId, Changes changes);
}
