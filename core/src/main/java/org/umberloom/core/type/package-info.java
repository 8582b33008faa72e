/** The modular type scale. */
package org.umberloom.core.type;
