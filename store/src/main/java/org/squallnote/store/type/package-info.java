/** How Java types stand in columns. */
@NullMarked
package org.squallnote.store.type;

import org.jspecify.annotations.NullMarked;
