/** What must not be readable: passwords and tokens, encrypted at rest. */
@NullMarked
package org.squallnote.server.secret;

import org.jspecify.annotations.NullMarked;
