/** Who is who: several addresses of one person, and what is known of them. */
@NullMarked
package org.squallnote.core.people;

import org.jspecify.annotations.NullMarked;
