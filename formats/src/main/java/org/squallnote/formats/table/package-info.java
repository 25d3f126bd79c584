/** Tables as text. */
@NullMarked
package org.squallnote.formats.table;

import org.jspecify.annotations.NullMarked;
