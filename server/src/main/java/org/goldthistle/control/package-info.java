/** Before anything is cut: which trees may go to a contractor, who approved them, the last look, and what was done. */
package org.goldthistle.control;
