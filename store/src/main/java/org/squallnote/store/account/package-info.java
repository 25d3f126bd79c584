/** Accounts of one installation. */
@NullMarked
package org.squallnote.store.account;

import org.jspecify.annotations.NullMarked;
