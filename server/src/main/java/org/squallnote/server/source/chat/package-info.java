/** Chat accounts as sources: their settings, how they are tried, signed in, read and sent by. */
@NullMarked
package org.squallnote.server.source.chat;

import org.jspecify.annotations.NullMarked;
