/** All checks of a theme, gathered for everybody who asks. */
package org.umberloom.core.finding;
