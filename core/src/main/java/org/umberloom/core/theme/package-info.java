/** The theme document: sets, modifiers, recipes, how they resolve, and how they are edited. */
package org.umberloom.core.theme;
