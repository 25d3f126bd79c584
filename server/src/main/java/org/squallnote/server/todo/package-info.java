/** Follow-ups in a task list of a calendar server, kept the same on both sides. */
@NullMarked
package org.squallnote.server.todo;

import org.jspecify.annotations.NullMarked;
