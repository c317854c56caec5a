package org.goldthistle.platform;

import java.net.URI;
import java.util.Arrays;
import java.util.Set;
import org.goldthistle.call.CallRefusal;
import org.goldthistle.core.Coded;
import org.springframework.http.HttpStatus;

/** Every kind of problem that callers hear of, each a type of its own for ever. */
public enum ProblemType implements Coded {
    /** Somebody has begun to read the tree, so what it belongs to stays. */
    ALREADY_READ("already-read", HttpStatus.UNPROCESSABLE_ENTITY),
    /** Somebody changed the same thing at the same moment. */
    AT_ONE_INSTANT("at-one-instant", HttpStatus.CONFLICT),
    /** Other stems are joined to the tree, so it cannot be a stem itself. */
    BEARS_A_CLONE("bears-a-clone", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The token is not for that. */
    BEYOND_TOKEN("beyond-token", HttpStatus.FORBIDDEN),
    /** More was sent at once than there is room for. */
    BUSY("busy", HttpStatus.TOO_MANY_REQUESTS),
    /** Another observer has that call sign. */
    CALL_SIGN_TAKEN("call-sign-taken", HttpStatus.CONFLICT),
    /** Somebody else reads the case. */
    CASE_TAKEN("case-taken", HttpStatus.CONFLICT),
    CAUTION_UNREAD(CallRefusal.CAUTION_UNREAD, HttpStatus.UNPROCESSABLE_ENTITY),
    /** A text holds a sign that no text has. */
    CONTROL_CHARACTER("control-character", HttpStatus.BAD_REQUEST),
    CONTROL_UNUSED(CallRefusal.CONTROL_UNUSED, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The database does not answer. */
    DATABASE_AWAY("database-away", HttpStatus.SERVICE_UNAVAILABLE),
    /** The disk of the database is full. */
    DISK_FULL("disk-full", HttpStatus.INSUFFICIENT_STORAGE),
    /** What was read does not fit the newer version of the sheet. */
    DOES_NOT_FIT_NEWER("does-not-fit-newer", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The observer has a draft of this group already. */
    DRAFT_ALREADY("draft-already", HttpStatus.CONFLICT),
    /** The draft is somebody else's. */
    DRAFT_OF_ANOTHER("draft-of-another", HttpStatus.FORBIDDEN),
    /** The file is larger than is read. */
    FILE_TOO_LARGE("file-too-large", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The request was not made by a page of this application, or its token is missing. */
    FORBIDDEN("forbidden", HttpStatus.FORBIDDEN),
    /** The id belongs to something else. */
    ID_TAKEN("id-taken", HttpStatus.CONFLICT),
    /** Somebody went on with what the file brought, so it stays. */
    IMPORT_TOUCHED("import-touched", HttpStatus.CONFLICT),
    /** Something that must be said is missing or too long. */
    INCOMPLETE("incomplete", HttpStatus.BAD_REQUEST, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The file is stored already. */
    IS_STORED("is-stored", HttpStatus.CONFLICT),
    LABORATORY_UNUSED(CallRefusal.LABORATORY_UNUSED, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The last lead stays a lead. */
    LAST_LEAD("last-lead", HttpStatus.UNPROCESSABLE_ENTITY),
    /** Too many passphrases were wrong; it opens again by itself. */
    LOCKED_OUT("locked-out", HttpStatus.TOO_MANY_REQUESTS),
    /** The passphrase is longer than can be kept. */
    LONG_PASSPHRASE("long-passphrase", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The sheet has a newer version than the card that a last look was taken by. */
    LOOK_OUTDATED("look-outdated", HttpStatus.CONFLICT),
    /** The table does not fit the draft. */
    MATRIX_DOES_NOT_FIT("matrix-does-not-fit", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The tree may not be controlled, or never was. */
    NOT_FOR_CONTROL("not-for-control", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The server has no authority of its own. */
    NO_AUTHORITY("no-authority", HttpStatus.NOT_FOUND),
    /** The receiver has no position. */
    NO_FIX("no-fix", HttpStatus.CONFLICT),
    /** No column holds the plot. */
    NO_PLOT_COLUMN("no-plot-column", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The case waits for no blind reading. */
    NO_READING_WANTED("no-reading-wanted", HttpStatus.CONFLICT),
    /** No sample was sent, so there is no result. */
    NO_SAMPLE_SENT("no-sample-sent", HttpStatus.CONFLICT),
    /** The tree was never approved like that. */
    NO_SUCH_APPROVAL("no-such-approval", HttpStatus.NOT_FOUND),
    /** A draft cannot be begun from that. */
    NO_SUCH_BEGINNING("no-such-beginning", HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such call at the table. */
    NO_SUCH_CALL("no-such-call", HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such review. */
    NO_SUCH_CASE("no-such-case", HttpStatus.NOT_FOUND),
    /** The sheet has no such character. */
    NO_SUCH_CHARACTER("no-such-character", HttpStatus.NOT_FOUND, HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such draft. */
    NO_SUCH_DRAFT("no-such-draft", HttpStatus.NOT_FOUND),
    /** A table cannot be read in that encoding. */
    NO_SUCH_ENCODING("no-such-encoding", HttpStatus.UNPROCESSABLE_ENTITY),
    /** Nothing that can be lacking is called so. */
    NO_SUCH_FACULTY("no-such-faculty", HttpStatus.UNPROCESSABLE_ENTITY),
    /** A column cannot hold that. */
    NO_SUCH_FIELD("no-such-field", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The library has no sheet of that group. */
    NO_SUCH_GROUP("no-such-group", HttpStatus.NOT_FOUND, HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such file on its way into the survey. */
    NO_SUCH_IMPORT("no-such-import", HttpStatus.NOT_FOUND),
    /** The link was used, taken back, or is too old. */
    NO_SUCH_INVITATION("no-such-invitation", HttpStatus.NOT_FOUND),
    /** There is no such first look, or it was given twice. */
    NO_SUCH_LOOK("no-such-look", HttpStatus.UNPROCESSABLE_ENTITY),
    NO_SUCH_MARK(CallRefusal.NO_SUCH_MARK, HttpStatus.UNPROCESSABLE_ENTITY),
    /** A month is one from 1 to 12. */
    NO_SUCH_MONTH("no-such-month", HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such observer. */
    NO_SUCH_OBSERVER("no-such-observer", HttpStatus.NOT_FOUND),
    NO_SUCH_OUTCOME(CallRefusal.NO_SUCH_OUTCOME, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The tree has no such photo that this observer may see. */
    NO_SUCH_PHOTO("no-such-photo", HttpStatus.NOT_FOUND),
    /** No sheet shows such a picture here. */
    NO_SUCH_PICTURE("no-such-picture", HttpStatus.NOT_FOUND),
    /** The survey has no such plot. */
    NO_SUCH_PLOT("no-such-plot", HttpStatus.NOT_FOUND),
    /** Nothing is reviewed for that reason. */
    NO_SUCH_REASON("no-such-reason", HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such role. */
    NO_SUCH_ROLE("no-such-role", HttpStatus.UNPROCESSABLE_ENTITY),
    /** There is no such sample. */
    NO_SUCH_SAMPLE("no-such-sample", HttpStatus.NOT_FOUND),
    /** A token is for reading, or for one survey. */
    NO_SUCH_SCOPE("no-such-scope", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The library has no such version of a sheet. */
    NO_SUCH_SHEET("no-such-sheet", HttpStatus.NOT_FOUND),
    /** There is no such survey, or the observer does not belong to it. */
    NO_SUCH_SURVEY("no-such-survey", HttpStatus.NOT_FOUND),
    /** Two or more taxa of the sheet are asked for. */
    NO_SUCH_TAXA("no-such-taxa", HttpStatus.UNPROCESSABLE_ENTITY),
    NO_SUCH_TAXON(CallRefusal.NO_SUCH_TAXON, HttpStatus.UNPROCESSABLE_ENTITY),
    NO_SUCH_TIER(CallRefusal.NO_SUCH_TIER, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The survey has no such tree. */
    NO_SUCH_TREE("no-such-tree", HttpStatus.NOT_FOUND),
    /** The column cannot be in that unit. */
    NO_SUCH_UNIT("no-such-unit", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The tree was not visited in that month. */
    NO_SUCH_VISIT(CallRefusal.NO_SUCH_VISIT, HttpStatus.UNPROCESSABLE_ENTITY),
    /** It is none of the codes that are known there. */
    NO_SUCH_WORD("no-such-word", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The survey has no such practice set. */
    NO_SUCH_SET("no-such-set", HttpStatus.NOT_FOUND),
    /** The file is no sheet that can be taken in. */
    NOT_A_SHEET("not-a-sheet", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The case is not at the table. */
    NOT_AT_THE_TABLE("not-at-the-table", HttpStatus.CONFLICT),
    /** The file is not checked, or has problems. */
    NOT_CHECKED("not-checked", HttpStatus.CONFLICT),
    /** The record does not propose that now. */
    NOT_PROPOSED("not-proposed", HttpStatus.CONFLICT),
    /** The case is not settled. */
    NOT_SETTLED("not-settled", HttpStatus.CONFLICT),
    NOT_SIGNABLE(CallRefusal.NOT_SIGNABLE, HttpStatus.UNPROCESSABLE_ENTITY),
    /** Nobody is signed in, or the session has ended. */
    NOT_SIGNED_IN("not-signed-in", HttpStatus.UNAUTHORIZED),
    /** The file was not stored. */
    NOT_STORED("not-stored", HttpStatus.CONFLICT),
    /** The file is no text. */
    NOT_TEXT("not-text", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The file is no list of verified trees of the group. */
    NOT_VERIFIED_TREES("not-verified-trees", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The lead shares no survey with that observer. */
    NOT_YOUR_CREW("not-your-crew", HttpStatus.FORBIDDEN),
    /** Somebody else made it. */
    NOT_YOURS("not-yours", HttpStatus.FORBIDDEN),
    /** It is for another role. */
    NOT_YOURS_TO_DO("not-yours-to-do", HttpStatus.FORBIDDEN),
    /** The draft says what is saved already. */
    NOTHING_CHANGED("nothing-changed", HttpStatus.UNPROCESSABLE_ENTITY),
    /** Something was stored since the file was checked. */
    OVERTAKEN("overtaken", HttpStatus.CONFLICT),
    /** It is about the observer’s own call. */
    OWN_CASE("own-case", HttpStatus.FORBIDDEN),
    /** Whoever overrules has read the tree. */
    OWN_READING_MISSING("own-reading-missing", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The passphrase is too easy to guess. */
    PLAIN_PASSPHRASE("plain-passphrase", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The tree is recorded as a taxon that nobody doubts. */
    PLAIN_TREE("plain-tree", HttpStatus.CONFLICT),
    /** The field work of the plot is done. */
    PLOT_CLOSED("plot-closed", HttpStatus.CONFLICT),
    /** Trees of the plot are open. */
    PLOT_UNFINISHED("plot-unfinished", HttpStatus.UNPROCESSABLE_ENTITY),
    /** What others made of the tree is kept until it is read. */
    READ_FIRST("read-first", HttpStatus.FORBIDDEN),
    READINGS_CHANGED(CallRefusal.READINGS_CHANGED, HttpStatus.CONFLICT),
    REASON_WITHOUT_READING(CallRefusal.REASON_WITHOUT_READING, HttpStatus.UNPROCESSABLE_ENTITY),
    /** Reasons must be given. */
    REASONS_MISSING("reasons-missing", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The receiver cannot be reached. */
    RECEIVER_AWAY("receiver-away", HttpStatus.CONFLICT),
    /** A rule of the job refuses it. */
    REFUSED("refused", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The sheet is laid over another one already. */
    REGIONAL_ALREADY("regional-already", HttpStatus.UNPROCESSABLE_ENTITY),
    /** Reviewers and leads decide. */
    ROLE("role", HttpStatus.FORBIDDEN),
    /** The observer was shown what others made of the tree. */
    SEEN_ALREADY("seen-already", HttpStatus.CONFLICT),
    /** The passphrase is too short. */
    SHORT_PASSPHRASE("short-passphrase", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The season is there already. */
    SEASON_BEGUN("season-begun", HttpStatus.CONFLICT),
    /** Somebody changed it in the meantime; what is kept now comes with it. */
    STALE("stale", HttpStatus.CONFLICT),
    /** Another stem bears the call. */
    STEM_OF_A_CLONE("stem-of-a-clone", HttpStatus.CONFLICT),
    /** The file is being worked on. */
    STILL_AT_WORK("still-at-work", HttpStatus.CONFLICT),
    /** The survey is read-only. */
    SURVEY_CLOSED("survey-closed", HttpStatus.CONFLICT),
    /** The request is larger than is taken. */
    TOO_LARGE("too-large", HttpStatus.PAYLOAD_TOO_LARGE),
    /** The call has as many photos as are kept. */
    TOO_MANY_PHOTOS("too-many-photos", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The observer has as many tokens as there may be. */
    TOO_MANY_TOKENS("too-many-tokens", HttpStatus.UNPROCESSABLE_ENTITY),
    /** It came more slowly than is waited for. */
    TOO_SLOW("too-slow", HttpStatus.REQUEST_TIMEOUT),
    /** It cannot be a call sign. */
    UNFIT_CALL_SIGN("unfit-call-sign", HttpStatus.UNPROCESSABLE_ENTITY),
    UNFIT_CONTEXT(CallRefusal.UNFIT_CONTEXT, HttpStatus.UNPROCESSABLE_ENTITY),
    /** A session cannot lie still for so long or so short a time. */
    UNFIT_IDLE_LIMIT("unfit-idle-limit", HttpStatus.UNPROCESSABLE_ENTITY),
    /** What was read at a last look does not fit the sheet. */
    UNFIT_LOOK("unfit-look", HttpStatus.UNPROCESSABLE_ENTITY),
    UNFIT_MARK(CallRefusal.UNFIT_MARK, HttpStatus.UNPROCESSABLE_ENTITY),
    UNFIT_OUTCOME(CallRefusal.UNFIT_OUTCOME, HttpStatus.UNPROCESSABLE_ENTITY),
    /** A sample cannot be, or cannot go on like that. */
    UNFIT_SAMPLE("unfit-sample", HttpStatus.UNPROCESSABLE_ENTITY),
    /** What a survey asks to be practised first does not go together. */
    UNFIT_SIGN_OFF("unfit-sign-off", HttpStatus.UNPROCESSABLE_ENTITY),
    /** What was made of a practice tree does not fit its sheet. */
    UNFIT_TRY("unfit-try", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The file is no picture that is kept. */
    UNFIT_PHOTO("unfit-photo", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The file is no picture that a sheet can show. */
    UNFIT_PICTURE("unfit-picture", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The plot breaks a rule, each of which is named. */
    UNFIT_PLOT("unfit-plot", HttpStatus.UNPROCESSABLE_ENTITY),
    UNFIT_READING(CallRefusal.UNFIT_READING, HttpStatus.UNPROCESSABLE_ENTITY),
    /** The survey breaks a rule, each of which is named. */
    UNFIT_SURVEY("unfit-survey", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The tree breaks a rule, each of which is named. */
    UNFIT_TREE("unfit-tree", HttpStatus.UNPROCESSABLE_ENTITY),
    /** What was done cannot have been. */
    UNFIT_WORK("unfit-work", HttpStatus.UNPROCESSABLE_ENTITY),
    /** The token is not known, was taken back, or its observer is kept out. */
    UNKNOWN_TOKEN("unknown-token", HttpStatus.UNAUTHORIZED),
    /** The application failed; the log tells of it under the request’s id. */
    UNFORESEEN("unforeseen", HttpStatus.INTERNAL_SERVER_ERROR),
    /** What was sent cannot be read. */
    UNREADABLE("unreadable", HttpStatus.BAD_REQUEST),
    /** The file cannot be read. */
    UNREADABLE_FILE("unreadable-file", HttpStatus.UNPROCESSABLE_ENTITY),
    WOUNDING_OFF(CallRefusal.WOUNDING_OFF, HttpStatus.UNPROCESSABLE_ENTITY),
    /** Call sign and passphrase do not belong together. */
    WRONG_PASSPHRASE("wrong-passphrase", HttpStatus.UNAUTHORIZED);

    private final String code;
    private final Coded meaning;
    private final Set<HttpStatus> statuses;

    ProblemType(String code, HttpStatus... statuses) {
        this.code = code;
        this.meaning = this;
        this.statuses = Set.of(statuses);
    }

    /** What a call refuses, told by the same code. */
    ProblemType(CallRefusal refusal, HttpStatus status) {
        this.code = refusal.code();
        this.meaning = refusal;
        this.statuses = Set.of(status);
    }

    @Override
    public String code() {
        return code;
    }

    /** Its address, as a problem detail names it. */
    public URI address() {
        return Problem.address(code);
    }

    /** Whose Javadoc says what it means: a call's refusal, or the type itself. */
    public Coded meaning() {
        return meaning;
    }

    /** Under which it is told; most have one. */
    public Set<HttpStatus> statuses() {
        return statuses;
    }

    /** The kind under which a call's refusal is told. */
    static ProblemType of(CallRefusal refusal) {
        return Arrays.stream(values())
                .filter(type -> type.meaning == refusal)
                .findFirst()
                .orElseThrow();
    }
}
