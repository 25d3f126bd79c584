/** Finding: the index is kept in step in the background, and what is found in it is shown as it stands now. */
@NullMarked
package org.squallnote.server.search;

import org.jspecify.annotations.NullMarked;
