/**
 * Which messages wait in Intake for a decision, and in which heap.
 */
@NullMarked
package org.squallnote.core.intake;

import org.jspecify.annotations.NullMarked;
