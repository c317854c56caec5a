package org.goldthistle.demo;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.UUID;
import org.goldthistle.library.LibraryService;
import org.goldthistle.sample.LaboratoryLine;
import org.goldthistle.sample.ParcelCarrier;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Carries the bags of the demo's trees to the laboratory's stand-in: each holds what its tree truly is. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoBags implements ParcelCarrier {
    private final JdbcClient jdbc;
    private final LibraryService library;
    private final LaboratoryLine line;
    private final ObjectMapper json;

    DemoBags(JdbcClient jdbc, LibraryService library, LaboratoryLine line, ObjectMapper json) {
        this.jdbc = jdbc;
        this.library = library;
        this.line = line;
        this.json = json;
    }

    @Override
    public void carry(List<Bag> bags) {
        ObjectNode inside = json.createObjectNode();
        bags.forEach(bag -> inside.put(bag.code(), inside(bag.treeId())));
        line.bring(inside.toString());
    }

    private String inside(UUID treeId) {
        return jdbc.sql(
                        "select t.group_id, d.taxon_id from tree t left join demo_truth d on d.tree_id = t.id where t.id = ?")
                .param(treeId)
                .query((row, i) -> scientific(row.getString("group_id"), row.getString("taxon_id")))
                .single();
    }

    /** A tree that somebody entered is what its group has first. */
    private String scientific(String groupId, String taxon) {
        var sheet = library.newest(groupId).sheet();
        return sheet.taxon(taxon == null ? "" : taxon)
                .orElse(sheet.taxa().get(0))
                .name()
                .scientificName();
    }
}
