/** Forms that a kit can have besides pages: one class a form. */
package org.umberloom.core.format.form;
