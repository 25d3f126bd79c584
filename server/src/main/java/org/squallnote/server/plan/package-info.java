/** Today and Ahead: what is planned for which day, whether it fits, and how long was worked at what. */
@NullMarked
package org.squallnote.server.plan;

import org.jspecify.annotations.NullMarked;
