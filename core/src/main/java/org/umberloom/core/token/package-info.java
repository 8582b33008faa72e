/**
 * Tokens and their values, as the Design Tokens Format Module 2025.10 defines them. Knows nothing of themes.
 */
package org.umberloom.core.token;
