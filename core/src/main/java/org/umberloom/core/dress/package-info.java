/** Themes from elsewhere: what stands in them that the product did not make, and roles proposed from it. */
package org.umberloom.core.dress;
