package org.goldthistle.sample;

import java.util.List;
import org.springframework.lang.Nullable;

/**
 * All samples of a survey.
 *
 * @param used whether the survey sends any
 * @param laboratory name of the one that is connected; null: none is, or it has not said yet
 * @param trouble why the laboratory cannot be reached; empty: it can, or none is connected
 * @param samples those that go on first, by plot and tag
 * @param parcels the newest first
 * @param troubles messages of the laboratory that count for nothing, the newest first; those of unknown samples stand in
 *     every survey that sends some
 */
record SamplesDto(
        boolean used,
        @Nullable String laboratory,
        String trouble,
        List<SampleDto> samples,
        List<ParcelDto> parcels,
        List<LaboratoryTroubleDto> troubles) {}
