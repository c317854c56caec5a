/**
 * A call as it stands: from entries, circumstances and a survey's rules to what they amount to, every view of the Bench
 * and what may be signed. No storage, no files, no clock, so that a browser can run it as the server does.
 */
package org.goldthistle.call;
