/** What figures are made of. */
@NullMarked
package org.squallnote.store.figures;

import org.jspecify.annotations.NullMarked;
