/** What happened, for those outside who follow it. */
@NullMarked
package org.squallnote.store.event;

import org.jspecify.annotations.NullMarked;
