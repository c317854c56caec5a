package org.goldthistle.formats;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.goldthistle.core.Coded;

/**
 * A column of a survey's file. The code is the heading that we write; others are recognised too, in the languages of those
 * who send us tables, written here without accents.
 */
public enum SurveyField implements Coded {
    /** Code of the plot; every row has one. */
    PLOT(
            "plot",
            List.of(),
            "plot code",
            "plot id",
            "plot name",
            "plot no",
            "plot nr",
            "plot number",
            "probekreis",
            "probeflache",
            "plotnr",
            "parzelle",
            "placette",
            "parcelle",
            "no placette",
            "parcela",
            "plocha",
            "provyta",
            "powierzchnia",
            "koeala"),
    /** Degrees north of the plot's centre, WGS 84. */
    LATITUDE("latitude", List.of(), "lat", "plot latitude", "breite", "breitengrad", "latitud", "sirka", "szerokosc"),
    /** Degrees east of it. */
    LONGITUDE(
            "longitude",
            List.of(),
            "lon",
            "lng",
            "long",
            "plot longitude",
            "lange",
            "langengrad",
            "longitud",
            "delka",
            "dlugosc"),
    /** Radius of the plot. */
    RADIUS("radius", List.of("m", "dm", "cm"), "plot radius", "rayon", "radio", "polomer", "promien"),
    /** Altitude of the plot. */
    ALTITUDE("altitude", List.of("m"), "elevation", "alt", "meereshohe", "hohe uber meer", "altitud"),
    /** Keys of the plot's ground, parted by semicolons or spaces. */
    PLOT_HABITAT("plot habitat", List.of(), "plot ground"),
    /** What was noted of the plot. */
    PLOT_NOTES("plot notes", List.of(), "plot remarks"),
    /** Number on the stem; a row without one tells of a plot alone. */
    TAG(
            "tag",
            List.of(),
            "tree",
            "tree tag",
            "tree number",
            "tree no",
            "tree nr",
            "tree id",
            "stem",
            "stem no",
            "baum",
            "baumnummer",
            "baum nr",
            "baumnr",
            "arbre",
            "no arbre",
            "numero arbre",
            "arbol",
            "numero de arbol",
            "strom",
            "cislo stromu",
            "trad",
            "tradnr",
            "trad nr",
            "drzewo",
            "nr drzewa"),
    /** Degrees clockwise from north. */
    AZIMUTH("azimuth", List.of("deg", "gon"), "az", "bearing", "azimut", "acimut", "azymut", "richtung", "baring"),
    /** From the plot's centre. */
    DISTANCE(
            "distance",
            List.of("m", "dm", "cm"),
            "dist",
            "entfernung",
            "distanz",
            "abstand",
            "distancia",
            "vzdalenost",
            "avstand",
            "odleglosc"),
    /** At breast height. */
    DIAMETER(
            "diameter",
            List.of("mm", "cm"),
            "dbh",
            "d",
            "diam",
            "bhd",
            "durchmesser",
            "brusthohendurchmesser",
            "diametre",
            "dhp",
            "dap",
            "diametro",
            "vycetni tloustka",
            "tloustka",
            "brosthojdsdiameter",
            "piersnica"),
    /** Of the tree, if measured. */
    HEIGHT(
            "height",
            List.of("dm", "m", "cm"),
            "h",
            "tree height",
            "hohe",
            "baumhohe",
            "hauteur",
            "altura",
            "vyska",
            "hojd",
            "wysokosc"),
    /** Code of its life stage. */
    STAGE("stage", List.of(), "life stage", "entwicklungsstufe", "stadium", "stade", "estadio"),
    /** Code of how it came to stand there. */
    ORIGIN("origin", List.of(), "herkunft", "origine", "origen", "puvod"),
    /** Keys of its own ground; empty: as its plot. */
    HABITAT("habitat", List.of(), "ground"),
    /** What was noted of its condition. */
    CONDITION(
            "condition",
            List.of(),
            "remarks",
            "notes",
            "bemerkung",
            "bemerkungen",
            "zustand",
            "remarque",
            "remarques",
            "observaciones",
            "poznamka",
            "anmarkning",
            "uwagi"),
    /** Id of the confusable group it belongs to. */
    GROUP("group", List.of(), "group id", "gruppe", "groupe", "grupo", "skupina", "grupp", "grupa"),
    /** Scientific name of a taxon that nobody doubts. */
    TAXON(
            "taxon",
            List.of(),
            "species",
            "scientific name",
            "plain taxon",
            "art",
            "baumart",
            "espece",
            "essence",
            "especie",
            "druh",
            "tradslag",
            "gatunek"),
    /** Tag of the stem that bears the call of its clone. */
    CLONE_OF("clone of", List.of(), "clone", "klon", "klon von"),
    /** Lengths of its last leaders, the youngest first, parted by semicolons, strokes or spaces. */
    LEADERS("leaders", List.of("mm"), "leader", "leader lengths", "leittriebe", "pousses"),
    /** Of its crown, 0 to 4. */
    DIEBACK("dieback", List.of(), "crown dieback", "kronenverlichtung"),
    /** Code of where its crown stands among its neighbours'. */
    CROWN("crown class", List.of(), "crown", "kronenklasse"),
    /** Code of how its stem grows. */
    FORM("stem form", List.of(), "form", "stammform"),
    /** Codes of what it has suffered, parted by semicolons or spaces. */
    DAMAGE("damage", List.of(), "damages", "schaden", "degats"),
    /** Whether it is dead: yes, or empty. */
    DEAD("dead", List.of(), "tot", "mort", "muerto"),
    /** Whether it is one to favour: yes, or empty. */
    FAVOURED("favoured", List.of(), "favored", "z baum", "future tree");

    /** How units are written beside their own signs. */
    private static final Map<String, String> UNIT_WORDS = Map.of(
            "degrees",
            "deg",
            "degree",
            "deg",
            "grad",
            "deg",
            "metres",
            "m",
            "meter",
            "m",
            "metre",
            "m",
            "millimetres",
            "mm",
            "centimetres",
            "cm",
            "zentimeter",
            "cm");

    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");

    private final String code;
    private final List<String> units;
    private final List<String> others;

    SurveyField(String code, List<String> units, String... others) {
        this.code = code;
        this.units = units;
        this.others = List.of(others);
    }

    @Override
    public String code() {
        return code;
    }

    /** The units in which it may be given, ours first; empty: it has none. */
    public List<String> units() {
        return units;
    }

    /** The heading under which we write it, with its unit. */
    public String heading() {
        return units.isEmpty() ? code : code + " " + units.get(0);
    }

    /** The field that a heading most likely stands for, with or without a unit behind it. */
    public static Optional<SurveyField> ofHeading(String heading) {
        String plain = plain(heading);
        for (SurveyField field : values()) {
            if (field.isCalled(plain) || unitIn(field, plain).isPresent()) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    /** The unit that a heading names: "distance dm" is in decimetres. */
    public Optional<String> unitIn(String heading) {
        return unitIn(this, plain(heading));
    }

    private static Optional<String> unitIn(SurveyField field, String plain) {
        return field.units.stream()
                .filter(unit -> plain.endsWith(" " + unit)
                        && field.isCalled(plain.substring(0, plain.length() - unit.length() - 1)))
                .findFirst();
    }

    private boolean isCalled(String plain) {
        return plain.equals(code) || others.contains(plain);
    }

    /** In small letters without accents, signs and fillers, its unit as we write it: "Ø BHD [cm]" is "bhd cm". */
    private static String plain(String heading) {
        String letters = ACCENTS.matcher(Normalizer.normalize(heading, Normalizer.Form.NFD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT)
                .replace('ł', 'l')
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
        int unit = letters.lastIndexOf(' ') + 1;
        String ours = UNIT_WORDS.getOrDefault(letters.substring(unit), letters.substring(unit));
        return (letters.substring(0, unit) + ours).replace(" in ", " ").strip();
    }
}
