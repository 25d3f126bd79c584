/** What happened in an account, in its order, for those outside who follow it. */
@NullMarked
package org.squallnote.core.event;

import org.jspecify.annotations.NullMarked;
