/** Corners and shadows: what things are like at their edges. */
package org.umberloom.core.shape;
