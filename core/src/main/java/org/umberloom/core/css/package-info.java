/** Compiles a theme to CSS: one compiler for preview, export and delivery. */
package org.umberloom.core.css;
