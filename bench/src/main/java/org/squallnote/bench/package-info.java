/** Figures as ratios from one run, since machines differ and drift. */
@NullMarked
package org.squallnote.bench;

import org.jspecify.annotations.NullMarked;
