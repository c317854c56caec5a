/** Practice before the woods: what observers made of practice trees, what comes next, and what a survey asks for. */
package org.goldthistle.practice;
