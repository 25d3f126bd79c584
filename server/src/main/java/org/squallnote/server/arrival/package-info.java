/** What happens to a message when it arrives: stored once, threaded, its turn derived. */
@NullMarked
package org.squallnote.server.arrival;

import org.jspecify.annotations.NullMarked;
