/** Merrow Quay: what was written before the start, and how it goes on. */
@NullMarked
package org.squallnote.standins.scenario;

import org.jspecify.annotations.NullMarked;
