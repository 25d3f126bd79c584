/** What holds for everybody who uses this installation: the names it answers by, and where accounts may connect to. */
@NullMarked
package org.squallnote.server.installation;

import org.jspecify.annotations.NullMarked;
