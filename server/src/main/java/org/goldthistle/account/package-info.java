/** Observers: who they are, how they sign in and out. */
package org.goldthistle.account;
