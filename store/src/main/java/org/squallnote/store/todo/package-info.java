/**
 * Which follow-ups are tasks of a task list.
 */
@NullMarked
package org.squallnote.store.todo;

import org.jspecify.annotations.NullMarked;
