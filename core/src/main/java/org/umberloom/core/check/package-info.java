/** Checks of a resolved theme. */
package org.umberloom.core.check;
