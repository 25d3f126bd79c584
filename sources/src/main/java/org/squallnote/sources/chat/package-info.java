/** Chat accounts, by the Matrix client-server API. */
@NullMarked
package org.squallnote.sources.chat;

import org.jspecify.annotations.NullMarked;
