/** The open formats: token files, resolver documents, edits and the kit archive. The only place that knows JSON. */
package org.umberloom.core.format;
