/** Lists as they are seen, for other people and programs. */
@NullMarked
package org.squallnote.server.listing;

import org.jspecify.annotations.NullMarked;
