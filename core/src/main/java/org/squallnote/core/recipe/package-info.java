/** Recipes: saved sequences of steps that handle a message, and the conditions on which they run by themselves. */
@NullMarked
package org.squallnote.core.recipe;

import org.jspecify.annotations.NullMarked;
