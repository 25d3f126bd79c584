/** People: all addresses of one, what is open with them, what waits for the next talk. */
@NullMarked
package org.squallnote.server.people;

import org.jspecify.annotations.NullMarked;
