/** When somebody is to be reminded, and that nobody is who has answered. */
@NullMarked
package org.squallnote.server.chase;

import org.jspecify.annotations.NullMarked;
