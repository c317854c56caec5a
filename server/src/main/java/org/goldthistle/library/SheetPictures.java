package org.goldthistle.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.picture.Picture;
import org.goldthistle.picture.UnfitPictureException;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Sha256;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Pictures of one's own that sheets show where nothing is drawn: kept cleaned, once each, under the print of their content,
 * so that a version names for ever what it showed.
 */
@Component
public class SheetPictures {
    /** The largest picture that is kept, in bytes. */
    private static final int LARGEST = 300 * 1000;

    private static final String PICTURES = "pictures";

    private final JdbcClient jdbc;
    private final ObjectMapper json;
    private final Clock clock;

    SheetPictures(JdbcClient jdbc, ObjectMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** A picture as it is kept. */
    record Kept(String mediaType, byte[] content) {}

    /**
     * Keeps a picture; the same one again changes nothing.
     *
     * @return its print
     * @throws Problem if it is no JPEG, PNG or WebP that can be read, or larger than 300 kB
     */
    @Transactional
    String keep(InputStream sent, UUID observerId) {
        try {
            return kept(sent.readNBytes(LARGEST + 1), observerId);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (UnfitPictureException unfit) {
            throw Problem.unfit(
                    ProblemType.UNFIT_PICTURE,
                    "This file " + unfit.why()
                            + ". It was not kept; your draft is as it was. Choose a JPEG, PNG or WebP picture of up to 300 kB.");
        }
    }

    private String kept(byte[] content, @Nullable UUID observerId) throws UnfitPictureException {
        if (content.length > LARGEST) {
            throw new UnfitPictureException("is larger than 300 kB");
        }
        Picture picture = Picture.read(content);
        String print = Sha256.of(picture.cleaned());
        jdbc.sql("insert into sheet_picture values (?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        print,
                        picture.kind().mediaType(),
                        picture.cleaned(),
                        observerId,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        return print;
    }

    /** The picture of a print. */
    @Transactional(readOnly = true)
    Optional<Kept> find(String print) {
        return jdbc.sql("select media_type, content from sheet_picture where sha256 = ?")
                .param(print)
                .query((row, i) -> new Kept(row.getString("media_type"), row.getBytes("content")))
                .optional();
    }

    /**
     * Keeps the pictures that a sheet's file brings.
     *
     * @param observerId null: nobody in particular
     * @return the file without them
     * @throws RefusedException if one cannot be kept, or is not the one that its name says
     */
    @Transactional
    public String taken(String text, @Nullable UUID observerId) {
        if (!text.contains('"' + PICTURES + '"')) {
            return text;
        }
        ObjectNode sheet = object(text);
        JsonNode pictures = sheet.remove(PICTURES);
        if (pictures == null || pictures.isNull()) {
            return text;
        }
        List<Refusal> refusals = new ArrayList<>();
        pictures.properties().forEach(one -> {
            String key = PICTURES + "." + one.getKey();
            try {
                String print = kept(Base64.getDecoder().decode(one.getValue().asText()), observerId);
                if (!print.equals(one.getKey())) {
                    refusals.add(new Refusal(key, "a picture with the print " + print, "the picture of that print"));
                }
            } catch (UnfitPictureException unfit) {
                refusals.add(new Refusal(key, "a file that " + unfit.why(), "a JPEG, PNG or WebP of up to 300 kB"));
            } catch (IllegalArgumentException noBase64) {
                refusals.add(new Refusal(key, "text that is no Base64", "a picture in Base64"));
            }
        });
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return sheet.toString();
    }

    /** A sheet's file with the pictures that it names. */
    @Transactional(readOnly = true)
    String with(String text, GroupSheet sheet) {
        Set<String> named = named(sheet);
        if (named.isEmpty()) {
            return text;
        }
        ObjectNode file = object(text);
        ObjectNode pictures = file.putObject(PICTURES);
        for (String print : named) {
            find(print)
                    .ifPresent(kept -> pictures.put(print, Base64.getEncoder().encodeToString(kept.content())));
        }
        return file.toPrettyString();
    }

    /** A line for each state whose picture is not here. */
    @Transactional(readOnly = true)
    public List<Refusal> missing(GroupSheet sheet) {
        List<Refusal> missing = new ArrayList<>();
        for (int c = 0; c < sheet.characters().size(); c++) {
            if (sheet.characters().get(c).scale() instanceof StateScale scale) {
                for (int s = 0; s < scale.states().size(); s++) {
                    Optional<String> print = scale.states().get(s).drawing().flatMap(Drawing::ownPicture);
                    if (print.isPresent() && find(print.get()).isEmpty()) {
                        missing.add(new Refusal(
                                "characters[" + c + "].states[" + s + "].draw.image",
                                "the print of a picture that is not here",
                                "a picture that was sent; choose it again"));
                    }
                }
            }
        }
        return missing;
    }

    private static Set<String> named(GroupSheet sheet) {
        Set<String> prints = new LinkedHashSet<>();
        sheet.characters().stream()
                .flatMap(SheetPictures::drawings)
                .flatMap(drawing -> drawing.ownPicture().stream())
                .forEach(prints::add);
        return prints;
    }

    private static Stream<Drawing> drawings(DiagnosticCharacter character) {
        return character.scale() instanceof StateScale scale
                ? scale.states().stream().map(State::drawing).flatMap(Optional::stream)
                : Stream.empty();
    }

    private ObjectNode object(String text) {
        try {
            return (ObjectNode) json.readTree(text);
        } catch (IOException broken) {
            throw new UncheckedIOException("a sheet that was read before", broken);
        }
    }
}
