/**
 * Making others answer: when somebody who owes me something is to be reminded, why then, and with which words.
 */
@NullMarked
package org.squallnote.core.chase;

import org.jspecify.annotations.NullMarked;
