/** Reply-by dates and planned times as a calendar for other programs. */
@NullMarked
package org.squallnote.server.feed;

import org.jspecify.annotations.NullMarked;
