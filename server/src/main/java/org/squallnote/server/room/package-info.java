/** Rooms of a chat: invitations to them, and leaving them. */
@NullMarked
package org.squallnote.server.room;

import org.jspecify.annotations.NullMarked;
