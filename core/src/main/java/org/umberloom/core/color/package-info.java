/** Color values, spaces, gamut mapping, contrast, depth and ramps. Knows nothing of tokens or themes. */
package org.umberloom.core.color;
