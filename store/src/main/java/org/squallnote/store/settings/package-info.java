/** How an account works, and what its user has said about single senders and lists. */
@NullMarked
package org.squallnote.store.settings;

import org.jspecify.annotations.NullMarked;
