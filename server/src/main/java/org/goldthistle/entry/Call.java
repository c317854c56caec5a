package org.goldthistle.entry;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.Visit;
import org.goldthistle.core.Coded;
import org.goldthistle.core.verdict.Tier;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One observer's work on one tree: the sheet version they began with, and the circumstances as they see them. */
@Entity
class Call {
    @Id
    private UUID id;

    private UUID treeId;
    private UUID observerId;
    private UUID sheetVersionId;
    private String groupId;
    private int month;
    private String stage;
    private String origin;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> habitat;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<Integer> earlierMonths;

    private Instant visitBegunAt;
    private String tier;
    private Instant openedAt;
    private Instant takenUpAt;
    private Instant woundingAcknowledgedAt;

    protected Call() {}

    Call(UUID treeId, UUID observerId, StoredSheet sheet, Circumstances circumstances, Tier tier, Instant openedAt) {
        this.id = UUID.randomUUID();
        this.treeId = treeId;
        this.observerId = observerId;
        this.sheetVersionId = sheet.id();
        this.groupId = sheet.sheet().id();
        this.openedAt = openedAt;
        this.takenUpAt = openedAt;
        this.visitBegunAt = openedAt;
        this.earlierMonths = List.of();
        this.tier = tier.code();
        change(circumstances);
    }

    final void change(Circumstances circumstances) {
        this.month = circumstances.month();
        this.stage = circumstances.stage();
        this.origin = circumstances.origin();
        this.habitat = circumstances.habitat();
    }

    /** Goes on with another version of its sheet. */
    final void moveTo(StoredSheet sheet) {
        this.sheetVersionId = sheet.id();
    }

    final void changeTier(Tier asked) {
        this.tier = asked.code();
    }

    /** Takes the call up in place of another one, at the same instant too: the last one taken up is in hand. */
    final void takeUpAfter(Call left, Instant now) {
        Instant soonest = left.takenUpAt.plus(1, ChronoUnit.MICROS); // the database's finest step
        this.takenUpAt = now.isBefore(soonest) ? soonest : now;
    }

    /** Notes that the observer has read what wounding this tree means. */
    final void acknowledgeWounding(Instant now) {
        if (woundingAcknowledgedAt == null) {
            this.woundingAcknowledgedAt = now;
        }
    }

    boolean hasReadWoundingCaution() {
        return woundingAcknowledgedAt != null;
    }

    Tier tier() {
        return Coded.find(Tier.values(), tier).orElseThrow();
    }

    UUID id() {
        return id;
    }

    UUID observerId() {
        return observerId;
    }

    UUID treeId() {
        return treeId;
    }

    String groupId() {
        return groupId;
    }

    UUID sheetVersionId() {
        return sheetVersionId;
    }

    /** The circumstances of the last visit. */
    Circumstances circumstances() {
        return new Circumstances(month, stage, origin, List.copyOf(habitat));
    }

    /** The visit that somebody makes who opens the call now: the last one, or a new one in another calendar month. */
    Visit visit(Instant now, ZoneId zone) {
        Visit last = new Visit(circumstances(), List.copyOf(earlierMonths));
        return isLaterMonth(now, zone) ? last.in(monthOf(now, zone).getMonthValue()) : last;
    }

    /** Writes are made now: in a later calendar month than the last ones they begin a visit. */
    final void goOn(Instant now, ZoneId zone) {
        if (isLaterMonth(now, zone)) {
            Visit begun = visit(now, zone);
            this.month = begun.circumstances().month();
            this.earlierMonths = begun.earlierMonths();
            this.visitBegunAt = now;
        }
    }

    /**
     * The visit that a reading belongs to, counted from 0, once {@link #goOn} was told of its time: the one in hand, or
     * for a reading that waited on a device while a later one was begun, the last one in its month.
     */
    int visitOf(Instant readAt, ZoneId zone) {
        return monthOf(readAt, zone).isBefore(monthOf(visitBegunAt, zone))
                        && earlierMonths.contains(monthOf(readAt, zone).getMonthValue())
                ? earlierMonths.lastIndexOf(monthOf(readAt, zone).getMonthValue())
                : earlierMonths.size();
    }

    /** The last visit in a month, counted from 0, the one in hand among them; empty: there is none. */
    OptionalInt lastVisitIn(int sought) {
        return new Visit(circumstances(), List.copyOf(earlierMonths)).lastIn(sought);
    }

    private boolean isLaterMonth(Instant now, ZoneId zone) {
        return monthOf(now, zone).isAfter(monthOf(visitBegunAt, zone));
    }

    private static YearMonth monthOf(Instant time, ZoneId zone) {
        return YearMonth.from(time.atZone(zone));
    }
}
