package org.goldthistle.formats;

import java.util.List;

/**
 * A file of an archive of the Darwin Core: the core, or one of its extensions. Terms are those of the Biodiversity Information
 * Standards (TDWG), <a href="https://dwc.tdwg.org/list/">list of Darwin Core terms</a> and Audiovisual Core.
 */
public enum DarwinCoreTable {
    /** A row a stem. */
    OCCURRENCE(
            "occurrence.txt",
            "http://rs.tdwg.org/dwc/terms/Occurrence",
            List.of(
                    dwc("occurrenceID"),
                    dwc("basisOfRecord"),
                    dwc("occurrenceStatus"),
                    dwc("organismID"),
                    dwc("recordNumber"),
                    dwc("recordedBy"),
                    dwc("eventDate"),
                    dwc("locationID"),
                    dwc("locality"),
                    dwc("habitat"),
                    dwc("decimalLatitude"),
                    dwc("decimalLongitude"),
                    dwc("geodeticDatum"),
                    dwc("coordinateUncertaintyInMeters"),
                    dwc("dataGeneralizations"),
                    dwc("lifeStage"),
                    dwc("establishmentMeans"),
                    dwc("degreeOfEstablishment"),
                    dwc("scientificName"),
                    dwc("scientificNameAuthorship"),
                    dwc("taxonRank"),
                    dwc("vernacularName"),
                    dwc("kingdom"),
                    dwc("identifiedBy"),
                    dwc("dateIdentified"),
                    dwc("identificationVerificationStatus"),
                    dwc("occurrenceRemarks"),
                    dcterms("license"),
                    dcterms("rightsHolder"),
                    dwc("datasetName"))),
    /** A row a look: of a reading's replicates one each; and what was measured on the stem. */
    MEASUREMENT(
            "measurementorfact.txt",
            "http://rs.tdwg.org/dwc/terms/MeasurementOrFact",
            List.of(
                    dwc("occurrenceID"),
                    dwc("measurementID"),
                    dwc("measurementType"),
                    dwc("measurementValue"),
                    dwc("measurementUnit"),
                    dwc("measurementAccuracy"),
                    dwc("measurementDeterminedBy"),
                    dwc("measurementDeterminedDate"),
                    dwc("measurementMethod"),
                    dwc("measurementRemarks"))),
    /** A row a signature, the oldest of a tree first. */
    IDENTIFICATION(
            "identification.txt",
            "http://rs.tdwg.org/dwc/terms/Identification",
            List.of(
                    dwc("occurrenceID"),
                    dwc("identificationID"),
                    dwc("scientificName"),
                    dwc("scientificNameAuthorship"),
                    dwc("taxonRank"),
                    dwc("vernacularName"),
                    dwc("identifiedBy"),
                    dwc("dateIdentified"),
                    dwc("identificationReferences"),
                    dwc("identificationVerificationStatus"),
                    dwc("identificationRemarks"))),
    /** A row a photo; its file is in the archive. */
    MULTIMEDIA(
            "multimedia.txt",
            "http://rs.tdwg.org/ac/terms/Multimedia",
            List.of(
                    dwc("occurrenceID"),
                    dcterms("identifier"),
                    "http://rs.tdwg.org/ac/terms/accessURI",
                    dcterms("type"),
                    dcterms("format"),
                    dcterms("title"),
                    dcterms("creator"),
                    dcterms("created"),
                    dcterms("license"),
                    dcterms("rightsHolder")));

    private final String file;
    private final String rowType;
    private final List<String> terms;

    DarwinCoreTable(String file, String rowType, List<String> terms) {
        this.file = file;
        this.rowType = rowType;
        this.terms = terms;
    }

    private static String dwc(String term) {
        return "http://rs.tdwg.org/dwc/terms/" + term;
    }

    private static String dcterms(String term) {
        return "http://purl.org/dc/terms/" + term;
    }

    /** The name of its file. */
    public String file() {
        return file;
    }

    /** The address of what a row is. */
    public String rowType() {
        return rowType;
    }

    /** The addresses of its columns; the first is the key that joins extensions to the core. */
    public List<String> terms() {
        return terms;
    }

    /** The headings of its columns: the last part of their addresses. */
    public List<String> headings() {
        return terms.stream()
                .map(term -> term.substring(term.lastIndexOf('/') + 1))
                .toList();
    }
}
