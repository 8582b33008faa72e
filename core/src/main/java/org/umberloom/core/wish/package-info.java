/**
 * What people ask for as edits, each a record that becomes an exact edit in the theme that was seen. A further kind is a further
 * record in the file of its subject: how it is written and read, and what the front end may send, follow from its components.
 */
package org.umberloom.core.wish;
