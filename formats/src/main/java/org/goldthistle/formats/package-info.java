/**
 * Reading and writing files: group sheets and specimens as JSON. What a file gets wrong comes back as one
 * {@link org.goldthistle.core.RefusedException} that lists every place with key, found and expected.
 */
package org.goldthistle.formats;
