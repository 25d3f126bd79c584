/** Simulated servers that speak the open protocols, for demonstration and tests. */
@NullMarked
package org.squallnote.standins;

import org.jspecify.annotations.NullMarked;
