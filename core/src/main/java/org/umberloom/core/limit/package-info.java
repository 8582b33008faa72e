/** How long work on what came from outside may go on, and how large it may be; all other packages may ask. */
package org.umberloom.core.limit;
