/** Follow-ups. */
@NullMarked
package org.squallnote.server.followup;

import org.jspecify.annotations.NullMarked;
