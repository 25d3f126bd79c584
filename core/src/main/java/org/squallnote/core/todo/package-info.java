/**
 * Follow-ups in a task list of a calendar server (VTODO, RFC 5545 section 3.6.2), changed on both sides: what both say
 * together, and what is to be done where only one of them has it.
 */
@NullMarked
package org.squallnote.core.todo;

import org.jspecify.annotations.NullMarked;
