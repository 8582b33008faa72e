/** How long work on what came from outside may go on; all other packages may ask. */
package org.umberloom.core.limit;
