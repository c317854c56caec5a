/** What a crew takes along into the woods: plots with their trees, calls and sheets, for work without a network. */
package org.goldthistle.along;
