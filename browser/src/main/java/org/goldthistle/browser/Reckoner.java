package org.goldthistle.browser;

import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What the browser may ask; for TypeScript the same stands in {@code web/src/reckoner/module.d.ts}. */
public final class Reckoner {
    private static final CallDesk DESK = new CallDesk();

    private Reckoner() {}

    /** Keeps a version of a sheet for the calls that are read on it. */
    @JSExport
    public static void openSheet(String versionId, int version, JSObject file) {
        DESK.open(versionId, version, JsValues.read(file));
    }

    /** Whether a version is at hand. */
    @JSExport
    public static boolean hasSheet(String versionId) {
        return DESK.has(versionId);
    }

    /** Everything that the Bench shows of a call, with what was entered since. */
    @JSExport
    public static JSObject layOut(JSObject begun, JSObject entered, int month) {
        return JsValues.write(DESK.layOut(JsValues.read(begun), list(entered), month));
    }

    /** In which months a call could be settled. */
    @JSExport
    public static JSObject outlook(JSObject begun, JSObject entered, int year, int month) {
        return JsValues.write(DESK.outlook(JsValues.read(begun), list(entered), year, month));
    }

    /** The state of a call that nobody has begun. */
    @JSExport
    public static JSObject untouched(String versionId, JSObject tree, JSObject rules, JSObject lacking, int month) {
        return JsValues.write(
                DESK.untouched(versionId, JsValues.read(tree), JsValues.read(rules), list(lacking), month));
    }

    /** How a tree looks in its plot's table and map, and whether something is left to do at it. */
    @JSExport
    public static JSObject look(boolean stem, String standsAs, boolean contested, boolean read) {
        return JsValues.write(CallDesk.look(stem, standsAs, contested, read));
    }

    /** Where an observer goes on to in a plot, from a tree to the others that are open. */
    @JSExport
    public static JSObject next(JSObject here, JSObject others) {
        return JsValues.write(CallDesk.next(JsValues.read(here), list(others)));
    }

    /** The first place where what was laid out here differs from what the server laid out; empty: they agree. */
    @JSExport
    public static String difference(JSObject here, JSObject there) {
        return SameFigures.difference(JsValues.read(here), JsValues.read(there));
    }

    private static List<?> list(JSObject array) {
        return (List<?>) JsValues.read(array);
    }
}
