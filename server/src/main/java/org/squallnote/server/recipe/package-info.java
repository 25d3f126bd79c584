/** Recipes: saved sequences of steps that handle a message, by a key or by themselves. */
@NullMarked
package org.squallnote.server.recipe;

import org.jspecify.annotations.NullMarked;
