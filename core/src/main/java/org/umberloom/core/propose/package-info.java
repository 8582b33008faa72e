/** Proposals: ordinary edits that are computed from a theme, to be adjusted by hand. */
package org.umberloom.core.propose;
