/** What an observer should do today, and in which months their contested calls can be settled. */
package org.goldthistle.today;
