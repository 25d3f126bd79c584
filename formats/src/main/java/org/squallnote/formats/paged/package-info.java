/** Documents in pages, as PDF. */
@NullMarked
package org.squallnote.formats.paged;

import org.jspecify.annotations.NullMarked;
