/** Practice on trees that nobody grew: what they show, what was made of them, what is remembered and what comes next. */
package org.goldthistle.core.practice;
