/** One decision about several messages at once, undone as one. */
@NullMarked
package org.squallnote.server.bulk;

import org.jspecify.annotations.NullMarked;
