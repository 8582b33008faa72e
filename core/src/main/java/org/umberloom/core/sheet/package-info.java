/** Style sheets as they are read: rules, selectors and declarations; the one package that knows the CSS parser. */
package org.umberloom.core.sheet;
