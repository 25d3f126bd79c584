/** What I have promised. */
@NullMarked
package org.squallnote.server.promise;

import org.jspecify.annotations.NullMarked;
