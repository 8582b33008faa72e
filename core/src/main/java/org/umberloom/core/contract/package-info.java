/** The contract: everything that pages read from a theme, as data, and the parts whose rules read it. */
package org.umberloom.core.contract;
