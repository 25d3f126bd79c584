/** Changes: one transaction each, with history, undo and recognition of repeated requests. */
@NullMarked
package org.squallnote.server.command;

import org.jspecify.annotations.NullMarked;
