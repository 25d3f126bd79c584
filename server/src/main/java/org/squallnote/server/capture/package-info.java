/** Follow-ups that come from no message, and those that are mailed in. */
@NullMarked
package org.squallnote.server.capture;

import org.jspecify.annotations.NullMarked;
