/** Accounts and how they are signed in to. */
@NullMarked
package org.squallnote.core.account;

import org.jspecify.annotations.NullMarked;
