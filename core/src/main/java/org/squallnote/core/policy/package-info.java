/** What is proposed for a follow-up on a message, each part with its reason in one short clause. */
@NullMarked
package org.squallnote.core.policy;

import org.jspecify.annotations.NullMarked;
