/** The document of the API: made from the code and its Javadoc, so that it says what the server does. */
package org.goldthistle.platform.api;
