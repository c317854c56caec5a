package org.goldthistle.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.library.LibraryService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.client.ResourceAccessException;

/** A round of the post when the laboratory is away, or says what nobody understands. */
class LaboratoryPostTest {
    private final LaboratoryLine line = mock();
    private final LaboratoryMessages messages = mock();
    private final Parcels parcels = mock();
    private final ParcelCarrier carrier = mock();
    private final LibraryService library = mock();
    private final LaboratoryPost post =
            new LaboratoryPost(line, messages, parcels, mock(SampleStore.class), library, Optional.of(carrier));
    private final Parcels.Due due = new Parcels.Due(UUID.randomUUID(), "P2026-001", 3);

    @BeforeEach
    void a_parcel_is_due() {
        StoredSheet birches = mock();
        when(birches.sheet()).thenReturn(GroupSheetJson.read(BuiltInLibrary.sheetText("birches")));
        when(library.newest("birches")).thenReturn(birches);
        when(line.isConnected()).thenReturn(true);
        when(parcels.due()).thenReturn(List.of(due));
        when(parcels.samplesIn(due.id())).thenReturn(List.of(sample()));
        when(line.resultsAfter(anyLong())).thenReturn(List.of());
    }

    private static SampleDto sample() {
        var taken = new SampleDto.LifeStep(SampleStep.TAKEN, "Siskin", Instant.parse("2026-09-14T09:00:00Z"), "");
        return new SampleDto(
                UUID.randomUUID(),
                UUID.randomUUID(),
                UUID.randomUUID(),
                "Kettle Moss 07",
                23,
                "birches",
                "KM07-23-A",
                "leaf",
                "sequence",
                SampleStep.PACKED,
                false,
                List.of(),
                List.of(taken),
                "P2026-001",
                List.of());
    }

    @Test
    void a_parcel_stays_due_with_its_reason_while_the_laboratory_is_away() {
        when(line.announce(any(), any())).thenThrow(new ResourceAccessException("connection refused"));
        doThrow(new ResourceAccessException("connection refused"))
                .when(messages)
                .publish(any());
        post.goRound();

        verify(parcels).troubled(eq(due), contains("connection refused"));
        verify(parcels, never()).received(any(), any());
        assertThat(post.trouble()).contains("cannot be reached");
    }

    @Test
    void a_receipt_ends_it_and_the_trouble_is_over() {
        when(line.announce(any(), any())).thenReturn("R-17");
        post.goRound();

        verify(parcels).received(due, "R-17");
        assertThat(post.trouble()).isEmpty();
    }

    @Test
    void an_answer_that_nobody_understands_is_told_and_asked_for_again() {
        when(line.announce(any(), any())).thenThrow(RefusedException.of("receipt", "nothing", "the receipt's number"));
        when(line.resultsAfter(anyLong())).thenThrow(RefusedException.of("", "<html>", "well-formed JSON"));
        post.goRound();
        post.goRound();

        verify(parcels, times(2)).troubled(eq(due), contains("cannot be understood"));
        verify(messages, never()).take(any());
        assertThat(post.trouble()).contains("well-formed JSON");
    }

    @Test
    void each_message_is_taken_and_nothing_is_asked_where_no_laboratory_is_connected() {
        var message = new LaboratoryJson.Numbered(7, "{}");
        when(line.announce(any(), any())).thenReturn("R-17");
        when(line.resultsAfter(anyLong())).thenReturn(List.of(message));
        post.goRound();
        verify(messages).take(message);

        when(line.isConnected()).thenReturn(false);
        when(line.methods()).thenThrow(new AssertionError("it was asked"));
        post.goRound();
    }
}
