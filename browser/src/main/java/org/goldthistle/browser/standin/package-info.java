/** Classes of the platform that the compiler to the browser's language does not bring. */
package org.goldthistle.browser.standin;
