/** Sites as documents: pages, what they wear, what is written at their places, and what differs on them by accident. */
package org.umberloom.core.site;
