/** Messages, their raw form, their places on servers and their links. */
@NullMarked
package org.squallnote.store.message;

import org.jspecify.annotations.NullMarked;
