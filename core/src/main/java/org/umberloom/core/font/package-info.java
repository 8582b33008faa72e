/** Font files: their tables, metrics, axes and coverage, what text in them measures, and what stands in while they load. */
package org.umberloom.core.font;
