/** Follow-ups that come in from other programs: tables, tasks of calendars, checklists. */
@NullMarked
package org.squallnote.core.takein;

import org.jspecify.annotations.NullMarked;
