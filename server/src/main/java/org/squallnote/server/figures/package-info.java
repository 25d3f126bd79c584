/** What the record says about how the work goes. */
@NullMarked
package org.squallnote.server.figures;

import org.jspecify.annotations.NullMarked;
