/** What lies with a follow-up: files, addresses, other follow-ups. */
@NullMarked
package org.squallnote.server.attached;

import org.jspecify.annotations.NullMarked;
