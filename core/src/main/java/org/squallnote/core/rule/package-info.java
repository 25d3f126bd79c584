/** Rules about language that a person can read: patterns over words, in files, each rule with its name and its examples. */
@NullMarked
package org.squallnote.core.rule;

import org.jspecify.annotations.NullMarked;
