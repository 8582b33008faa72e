/** JSON text to plain data and back; the one package that knows the JSON library. */
package org.umberloom.core.json;
