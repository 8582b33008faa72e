/** Spacing steps and page widths. */
package org.umberloom.core.space;
