/** What every feature stands on: errors as problem details, security, the front end's pages. */
package org.goldthistle.platform;
