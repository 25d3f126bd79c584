/** Answers and their drafts. */
@NullMarked
package org.squallnote.server.answer;

import org.jspecify.annotations.NullMarked;
