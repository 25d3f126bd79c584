/** What an account has set. */
@NullMarked
package org.squallnote.core.settings;

import org.jspecify.annotations.NullMarked;
