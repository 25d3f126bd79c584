/** What was asked when, and answered when, with which message: for whoever doubts it. */
@NullMarked
package org.squallnote.server.proof;

import org.jspecify.annotations.NullMarked;
