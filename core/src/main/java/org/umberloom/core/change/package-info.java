/** What happens between two states of a theme: how they differ, what number a release gets, and where pages change. */
package org.umberloom.core.change;
