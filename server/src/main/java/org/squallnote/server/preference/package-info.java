/** What an account has chosen: its keys and its capture address. */
@NullMarked
package org.squallnote.server.preference;

import org.jspecify.annotations.NullMarked;
