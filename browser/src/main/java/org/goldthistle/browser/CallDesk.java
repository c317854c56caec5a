package org.goldthistle.browser;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallRefusedException;
import org.goldthistle.call.CallState;
import org.goldthistle.call.CallView;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Entered;
import org.goldthistle.call.OnRecord;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.NumberLikelihood;
import org.goldthistle.core.measure.HandValue;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.formats.plain.SheetReader;

/** Lays calls out on the sheets that were handed to it; plain values in and out. */
final class CallDesk {
    private final Map<String, StoredSheet> sheets = new HashMap<>();

    /**
     * Keeps a version of a sheet, read from its file, for the calls that are read on it.
     *
     * @throws org.goldthistle.core.RefusedException if the file breaks the format or a rule of sheets
     */
    void open(String versionId, int version, Object file) {
        // its drawings were looked at when the sheet came into the library
        var sheet = new SheetReader(drawing -> Map.of()).read(file);
        sheets.put(versionId, new StoredSheet(UUID.fromString(versionId), version, "", GroupModel.of(sheet)));
    }

    /**
     * Everything that the Bench shows of a call, with what was entered since.
     *
     * @param begun as {@link Begun}
     * @param entered in its order, each with its kind and the fields of that kind
     * @param month of today, 1-12
     * @return {@code call}, as {@link CallView}; {@code sheetVersionId}, {@code cautionRead}, {@code photos} and
     *     {@code signedAs}; {@code signatures}: those among what was entered, the newest first; {@code superseded}:
     *     ids of signatures that fall with them; {@code refused}: what cannot be entered and why, by its place in the list
     */
    Map<String, Object> layOut(Object begun, List<?> entered, int month) {
        Going going = going(begun, entered, month);
        Map<String, Object> laidOut = new LinkedHashMap<>();
        laidOut.put("call", Plain.write(CallView.of(going.call, going.onRecord.of(going.call))));
        laidOut.put("sheetVersionId", going.call.sheet().id().toString());
        laidOut.put("cautionRead", going.call.cautionRead());
        laidOut.put("photos", Plain.write(going.call.photos()));
        if (going.signedAs != null) {
            laidOut.put("signedAs", going.signedAs.toString());
        }
        laidOut.put("signatures", Plain.write(going.signatures));
        laidOut.put("superseded", Plain.write(going.superseded));
        laidOut.put("refused", going.refused);
        return laidOut;
    }

    /** In which months the call could be settled, by what is read so far, each with the year in which it comes next. */
    List<Object> outlook(Object begun, List<?> entered, int year, int month) {
        LocalDate today = LocalDate.of(year, month, 1);
        List<Object> months = new ArrayList<>();
        going(begun, entered, month).call.outlook(CallRecord.EMPTY).forEach(one -> {
            Map<String, Object> plain = new LinkedHashMap<>();
            plain.put("month", one.month());
            plain.put("year", ComingMonth.yearOf(one.month(), today));
            plain.put("chanceToSettle", one.chanceToSettle());
            plain.put("chanceToMislead", one.chanceToMislead());
            months.add(plain);
        });
        return months;
    }

    /** The state of a call that nobody has begun, on a tree as it was entered on a plot's ground. */
    Object untouched(String versionId, Object tree, List<?> ground, Object rules, List<?> lacking, int month) {
        Begun.AsEntered entered = Plain.read(Begun.AsEntered.class, tree);
        CallInHand call = CallInHand.untouched(
                sheet(versionId),
                new Circumstances(
                        month,
                        entered.stage(),
                        entered.origin(),
                        Circumstances.ground(entered.habitat(), texts(ground))),
                Plain.read(SurveyRules.class, rules),
                CallState.faculties(texts(lacking)));
        return Plain.write(CallState.of(call, OnRecord.NOTHING));
    }

    /**
     * The value that comes of typed parts.
     *
     * @return {@code value}, and {@code turned}: what comes of them the other way round, if anything; or {@code refused}:
     *     why nothing comes of them
     */
    Map<String, Object> taken(String versionId, String character, List<?> parts) {
        Measured measured = measured(versionId, character);
        List<Double> numbers = new ArrayList<>();
        parts.forEach(part -> numbers.add(((Number) part).doubleValue()));
        Map<String, Object> told = new LinkedHashMap<>();
        try {
            double value = HandValue.of(measured, numbers);
            told.put("value", value);
            HandValue.turned(measured, value).ifPresent(turned -> told.put("turned", turned));
        } catch (RefusedException refused) {
            told.put("refused", refused.getMessage());
        }
        return told;
    }

    /**
     * What comes of taps on a photo.
     *
     * @param plain as {@link PhotoDesk.OnPhoto}
     * @return {@code value}, {@code error} and {@code coarse}, or {@code refused}: why nothing comes of them yet;
     *     {@code scaleRefused}: why nothing can come of them; {@code bar}: how long the card's bar comes out, in mm, where
     *     it was tapped; {@code guide}: a line to tap on, where one is asked for
     */
    Map<String, Object> onPhoto(String versionId, String character, Object plain) {
        return PhotoDesk.told(
                measured(versionId, character),
                narrowestSpread(versionId, character),
                Plain.read(PhotoDesk.OnPhoto.class, plain));
    }

    private double narrowestSpread(String versionId, String character) {
        GroupModel model = sheet(versionId).model();
        for (int c = 0; c < model.sheet().characters().size(); c++) {
            if (model.sheet().characters().get(c).id().equals(character)
                    && model.likelihood(c) instanceof NumberLikelihood number) {
                return number.narrowestSpread();
            }
        }
        throw new IllegalArgumentException("no number is read of " + character);
    }

    private Measured measured(String versionId, String character) {
        return sheet(versionId)
                .sheet()
                .character(character)
                .map(DiagnosticCharacter::scale)
                .filter(NumberScale.class::isInstance)
                .flatMap(scale -> ((NumberScale) scale).measured())
                .orElseThrow();
    }

    private static List<String> texts(List<?> plain) {
        return plain.stream().map(String::valueOf).toList();
    }

    /** A call with what was entered; where something was refused what it was to replace still counts, so all is taken then. */
    private Going going(Object plain, List<?> entered, int month) {
        Begun begun = Plain.read(Begun.class, plain);
        Set<Integer> replaced = replaced(entered);
        Going going = going(begun, entered, replaced, month);
        return replaced.isEmpty() || going.refused.isEmpty() ? going : going(begun, entered, Set.of(), month);
    }

    private Going going(Begun begun, List<?> entered, Set<Integer> passedOver, int month) {
        var going = new Going(begun, month);
        for (int i = 0; i < entered.size(); i++) {
            if (passedOver.contains(i)) {
                continue;
            }
            try {
                going.take((Map<?, ?>) entered.get(i));
            } catch (CallRefusedException why) {
                going.refused.put(String.valueOf(i), refusal(why));
            }
        }
        return going;
    }

    /**
     * The places of readings and marks that a later one of the same character or item replaces before anything is signed or
     * moved to another group, which go by what was there before. So a call takes no longer the more often it was touched.
     */
    private static Set<Integer> replaced(List<?> entered) {
        Set<Integer> replaced = new HashSet<>();
        Map<Object, Integer> last = new HashMap<>();
        for (int i = 0; i < entered.size(); i++) {
            Map<?, ?> one = (Map<?, ?>) entered.get(i);
            Object of = switch (String.valueOf(one.get("kind"))) {
                case "reading" -> List.of("reading", ((Map<?, ?>) one.get("reading")).get("character"));
                case "mark" -> List.of("mark", one.get("item"));
                case "signature", "group" -> null;
                default -> i;
            };
            if (of == null) {
                last.clear();
                continue;
            }
            Integer before = last.put(of, i);
            if (before != null) {
                replaced.add(before);
            }
        }
        return replaced;
    }

    /** A sheet that is open. */
    StoredSheet sheet(String versionId) {
        StoredSheet sheet = sheets.get(versionId);
        if (sheet == null) {
            throw new IllegalArgumentException("the sheet " + versionId + " was not opened");
        }
        return sheet;
    }

    private StoredSheet newest(String groupId) {
        return sheets.values().stream()
                .filter(one -> one.sheet().id().equals(groupId))
                .reduce((a, b) -> a.version() > b.version() ? a : b)
                .orElseThrow(() -> new IllegalArgumentException("no sheet of " + groupId + " was opened"));
    }

    /** Why something is refused: its type, in words, and each place that is wrong. */
    private static Map<String, Object> refusal(CallRefusedException why) {
        Map<String, Object> plain = new LinkedHashMap<>();
        plain.put("type", why.type().code());
        plain.put("detail", why.getMessage());
        plain.put("refusals", Plain.write(why.refusals()));
        return plain;
    }

    /** A call on which one thing after the other is entered. */
    private final class Going {
        private final Begun begun;
        private final int month;
        private final List<SignedView> signatures = new ArrayList<>();
        private final List<UUID> superseded = new ArrayList<>();
        private final Map<String, Object> refused = new LinkedHashMap<>();
        private CallInHand call;
        private OnRecord onRecord;
        private UUID signedAs;

        Going(Begun begun, int month) {
            this.begun = begun;
            this.month = month;
            this.signedAs = begun.signedAs();
            takeUp(begun.state());
            if (month != begun.thisMonth()) {
                call = call.inMonth(month); // what was read before keeps the month of its own
            }
        }

        private void takeUp(CallState state) {
            call = state.on(sheet(state.sheetVersionId().toString()));
            onRecord = state.onRecord();
        }

        void take(Map<?, ?> entered) {
            switch (String.valueOf(entered.get("kind"))) {
                case "group" -> takeUpIn(String.valueOf(entered.get("groupId")));
                case "signature" -> sign(Plain.read(SignedHere.class, entered));
                default -> enter(entered(entered));
            }
        }

        private void enter(Entered entered) {
            call = entered.on(call);
            if (entered.changesWhatIsSigned()) {
                signedAs = null;
            }
        }

        private void takeUpIn(String groupId) {
            if (call.sheet().sheet().id().equals(groupId)) {
                return;
            }
            signedAs = null;
            for (CallState other : begun.setAside()) {
                if (sheet(other.sheetVersionId().toString()).sheet().id().equals(groupId)) {
                    takeUp(other);
                    return;
                }
            }
            call = CallInHand.untouched(newest(groupId), begun.tree().in(month), call.rules(), call.lacking());
        }

        private void sign(SignedHere signed) {
            SignedView fresh = FreshSignature.of(signed, call, call.checked(signed.signing(), onRecord));
            signatures.forEach(earlier -> superseded.add(earlier.id()));
            begun.determinations().stream()
                    .filter(earlier -> earlier.observer().equals(signed.observer()))
                    .forEach(earlier -> superseded.add(earlier.id()));
            signatures.add(0, fresh);
            signedAs = signed.id();
        }
    }

    private static Entered entered(Map<?, ?> plain) {
        Object kind = plain.get("kind");
        return switch (String.valueOf(kind)) {
            case "reading" -> Plain.read(Entered.Read.class, plain);
            case "mark" -> Plain.read(Entered.Marked.class, plain);
            case "caution" -> new Entered.CautionRead();
            case "circumstances" -> Plain.read(Entered.Stands.class, plain);
            case "tier" -> Plain.read(Entered.IsFor.class, plain);
            case "photo" -> Plain.read(Entered.Pictured.class, plain);
            default -> throw new IllegalArgumentException("nothing that is entered is called " + kind);
        };
    }
}
