/** Pages as they are marked up: what they use, and what the rules of the parts make of them; the one package that knows the HTML parser. */
package org.umberloom.core.page;
