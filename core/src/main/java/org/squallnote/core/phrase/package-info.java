/** Words kept for answers. */
@NullMarked
package org.squallnote.core.phrase;

import org.jspecify.annotations.NullMarked;
