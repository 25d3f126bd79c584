/** Categories. */
@NullMarked
package org.squallnote.server.category;

import org.jspecify.annotations.NullMarked;
