/** What the compiler to the browser's language is told; none of it runs in the browser. */
package org.goldthistle.browser.compiling;
