/** Mail and chat accounts: adding, testing, and the engines that keep them in step. */
@NullMarked
package org.squallnote.server.source;

import org.jspecify.annotations.NullMarked;
