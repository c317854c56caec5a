package org.goldthistle.browser;

import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What the browser may ask; for TypeScript the same stands in {@code web/src/reckoner/module.d.ts}. */
public final class Reckoner {
    private static final CallDesk DESK = new CallDesk();
    private static final PracticeDesk PRACTICE = new PracticeDesk(DESK::sheet);
    private static final LookDesk LOOKS = new LookDesk(DESK::sheet);
    private static final InstrumentDesk INSTRUMENTS = new InstrumentDesk();

    private static JSObject begunLast;
    private static Object begunLastRead;

    private Reckoner() {}

    /** Keeps a version of a sheet for the calls that are read on it. */
    @JSExport
    public static void openSheet(String versionId, int version, JSObject file) {
        DESK.open(versionId, version, JsValues.read(file));
    }

    /** Everything that the Bench shows of a call, with what was entered since. */
    @JSExport
    public static JSObject layOut(JSObject begun, JSObject entered, int month) {
        return JsValues.write(DESK.layOut(begun(begun), list(entered), month));
    }

    /** In which months a call could be settled. */
    @JSExport
    public static JSObject outlook(JSObject begun, JSObject entered, int year, int month) {
        return JsValues.write(DESK.outlook(begun(begun), list(entered), year, month));
    }

    /** The state of a call that nobody has begun, on a tree as it was entered on a plot's ground. */
    @JSExport
    public static JSObject untouched(
            String versionId, JSObject tree, JSObject ground, JSObject rules, JSObject lacking, int month) {
        return JsValues.write(DESK.untouched(
                versionId, JsValues.read(tree), list(ground), JsValues.read(rules), list(lacking), month));
    }

    /** The value that comes of typed parts of a character of a sheet that is open, or why none does. */
    @JSExport
    public static JSObject taken(String versionId, String character, JSObject parts) {
        return JsValues.write(DESK.taken(versionId, character, list(parts)));
    }

    /** The value that comes of taps on a photo, or why none does yet, and the lines that guide them. */
    @JSExport
    public static JSObject onPhoto(String versionId, String character, JSObject photo) {
        return JsValues.write(DESK.onPhoto(versionId, character, JsValues.read(photo)));
    }

    /** What a practice tree shows, and a call of it that nobody has begun. */
    @JSExport
    public static JSObject practiceTree(String versionId, int seed, String one, String other) {
        return JsValues.write(PRACTICE.tree(versionId, seed, one, other));
    }

    /** What became of a practice tree. */
    @JSExport
    public static JSObject practiceResult(String versionId, JSObject made) {
        return JsValues.write(PRACTICE.result(versionId, JsValues.read(made)));
    }

    /** What a last look at a tree says before anything is cut, in a month of 1-12. */
    @JSExport
    public static JSObject lastLook(String versionId, JSObject asked, int month, JSObject made) {
        return JsValues.write(LOOKS.result(versionId, JsValues.read(asked), month, JsValues.read(made)));
    }

    /** What a line of a caliper comes to, that came at a time in milliseconds. */
    @JSExport
    public static JSObject caliperLine(String line, double at) {
        return JsValues.write(INSTRUMENTS.caliperLine(line, at));
    }

    /** How a tree stands and looks in its plot's table and map, and whether something is left to do at it. */
    @JSExport
    public static JSObject look(JSObject tree) {
        return JsValues.write(PlotDesk.look(JsValues.read(tree)));
    }

    /** Where an observer goes on to from a tree, among all trees of its plot. */
    @JSExport
    public static JSObject next(String hereId, JSObject trees) {
        return JsValues.write(PlotDesk.next(hereId, list(trees)));
    }

    /** The first place where what was laid out here differs from what the server laid out; empty: they agree. */
    @JSExport
    public static String difference(JSObject here, JSObject there) {
        return SameFigures.difference(JsValues.read(here), JsValues.read(there));
    }

    /** What is on record of a tree, read once for all that is asked of it one after the other. */
    private static Object begun(JSObject begun) {
        if (begun != begunLast) {
            begunLastRead = JsValues.read(begun);
            begunLast = begun;
        }
        return begunLastRead;
    }

    private static List<?> list(JSObject array) {
        return (List<?>) JsValues.read(array);
    }
}
