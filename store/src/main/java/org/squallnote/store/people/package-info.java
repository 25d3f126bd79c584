/** Which addresses are one person, and what I noted of them. */
@NullMarked
package org.squallnote.store.people;

import org.jspecify.annotations.NullMarked;
