package org.goldthistle.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class PlotDeskTest {
    @Test
    void what_was_entered_on_a_device_stands_as_the_server_would_have_it() {
        assertThat(PlotDesk.look(tree(1, 0, "groupId", "birches")))
                .containsEntry("standsAs", "open")
                .containsEntry("look", "open")
                .containsEntry("toDo", true);
        assertThat(PlotDesk.look(tree(1, 0))).containsEntry("standsAs", "plain").containsEntry("toDo", false);
        assertThat(PlotDesk.look(tree(1, 2, "groupId", "birches", "standsAs", "open")))
                .containsEntry("look", "begun");
        assertThat(PlotDesk.look(tree(1, 2, "groupId", "birches", "standsAs", "open", "signedAs", "come-back")))
                .containsEntry("standsAs", "come-back")
                .containsEntry("look", "waiting");
        assertThat(PlotDesk.look(tree(1, 0, "standsAs", "open"))) // its group was taken from it
                .containsEntry("standsAs", "plain");
        assertThat(PlotDesk.look(tree(1, 0, "groupId", "birches", "standsAs", "taxon")))
                .containsEntry("standsAs", "taxon");
    }

    @Test
    void one_goes_on_to_the_nearest_that_is_open_and_not_to_stems_plain_or_signed_trees() {
        Map<String, Object> here = tree(1, 3, "groupId", "birches", "standsAs", "open");
        Map<String, Object> signed = tree(2, 0, "groupId", "birches", "standsAs", "open", "signedAs", "group");
        Map<String, Object> stem =
                tree(3, 0, "groupId", "birches", "cloneOf", UUID.randomUUID().toString());
        Map<String, Object> open = tree(9, 0, "groupId", "birches");

        Map<?, ?> next =
                (Map<?, ?>) PlotDesk.next((String) here.get("id"), List.of(here, signed, stem, tree(4, 0), open));

        assertThat((Object) next.get("tag")).isEqualTo(9);
        assertThat((Object) next.get("left")).isEqualTo(1);
    }

    private static Map<String, Object> tree(int tag, int readings, String... more) {
        Map<String, Object> tree = new HashMap<>();
        tree.put("id", UUID.randomUUID().toString());
        tree.put("tag", tag);
        tree.put("azimuthDegrees", 0);
        tree.put("distanceMetres", tag);
        tree.put("contested", false);
        tree.put("readings", readings);
        for (int i = 0; i < more.length; i += 2) {
            tree.put(more[i], more[i + 1]);
        }
        return tree;
    }
}
