/** What is known of a day before something is promised for it. */
@NullMarked
package org.squallnote.server.day;

import org.jspecify.annotations.NullMarked;
