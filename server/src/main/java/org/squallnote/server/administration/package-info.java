/** What an administrator does at the machine itself. */
@NullMarked
package org.squallnote.server.administration;

import org.jspecify.annotations.NullMarked;
