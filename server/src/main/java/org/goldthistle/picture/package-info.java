/** Pictures that people send: told by their content, cleaned of what their files say of whoever took them, and where. */
package org.goldthistle.picture;
