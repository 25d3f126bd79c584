/** What happened, for scripts that follow it: a stream that can be taken up again, and webhooks. */
@NullMarked
package org.squallnote.server.event;

import org.jspecify.annotations.NullMarked;
