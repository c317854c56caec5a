package org.goldthistle.control;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.goldthistle.formats.ControlCsv;
import org.goldthistle.formats.ControlGeoJson;
import org.goldthistle.formats.ControlledTree;
import org.springframework.stereotype.Component;

/** Writes the approved trees of a control list out. */
@Component
class ControlFiles {
    byte[] csv(ControlListDto list) throws IOException {
        StringWriter text = new StringWriter();
        try (ControlCsv csv = new ControlCsv(text)) {
            for (ControlledTree tree : approved(list)) {
                csv.write(tree);
            }
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    byte[] geoJson(ControlListDto list) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ControlGeoJson map = new ControlGeoJson(bytes)) {
            for (ControlledTree tree : approved(list)) {
                map.write(tree);
            }
        }
        return bytes.toByteArray();
    }

    private static List<ControlledTree> approved(ControlListDto list) {
        return list.trees().stream()
                .filter(tree -> tree.approval().id() != null)
                .map(ControlFiles::controlled)
                .toList();
    }

    private static ControlledTree controlled(ControlListDto.ControlTreeDto tree) {
        return new ControlledTree(
                tree.plotCode(),
                tree.tag(),
                tree.latitude(),
                tree.longitude(),
                tree.azimuthDegrees(),
                tree.distanceMetres(),
                tree.diameterMillimetres(),
                tree.commonName(),
                tree.scientificName(),
                tree.observers(),
                tree.approval().by(),
                tree.approval().at().toString(),
                tree.look() == null ? null : tree.look().result().verdict(),
                tree.work() == null ? null : tree.work().what(),
                tree.work() == null ? null : tree.work().doneOn().toString(),
                tree.near().stream()
                        .map(near -> new ControlledTree.Near(
                                near.tag(), near.kind(), near.name(), near.metres(), near.degrees()))
                        .toList());
    }
}
