/** Accounts, signing in and out, and what every request is checked for. */
@NullMarked
package org.squallnote.server.account;

import org.jspecify.annotations.NullMarked;
