package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.goldthistle.call.TreeStanding.COME_BACK;
import static org.goldthistle.call.TreeStanding.GROUP;
import static org.goldthistle.call.TreeStanding.LABORATORY;
import static org.goldthistle.call.TreeStanding.OPEN;
import static org.goldthistle.call.TreeStanding.PLAIN;
import static org.goldthistle.call.TreeStanding.REVIEW;
import static org.goldthistle.call.TreeStanding.TAXON;

import org.junit.jupiter.api.Test;

class TreeLookTest {

    @Test
    void a_tree_has_one_look_for_each_standing() {
        assertThat(TreeLook.of(false, OPEN, false, false)).isEqualTo(TreeLook.OPEN);
        assertThat(TreeLook.of(false, OPEN, false, true)).isEqualTo(TreeLook.BEGUN);
        assertThat(TreeLook.of(false, OPEN, true, true)).isEqualTo(TreeLook.CONTESTED);
        assertThat(TreeLook.of(false, COME_BACK, false, true)).isEqualTo(TreeLook.WAITING);
        assertThat(TreeLook.of(false, COME_BACK, true, true)).isEqualTo(TreeLook.CONTESTED);
        assertThat(TreeLook.of(false, LABORATORY, false, true)).isEqualTo(TreeLook.WAITING);
        assertThat(TreeLook.of(false, TAXON, true, true)).isEqualTo(TreeLook.SIGNED);
        assertThat(TreeLook.of(false, GROUP, false, true)).isEqualTo(TreeLook.SIGNED);
        assertThat(TreeLook.of(false, PLAIN, false, false)).isEqualTo(TreeLook.PLAIN);
        assertThat(TreeLook.of(false, REVIEW, true, true)).isEqualTo(TreeLook.REVIEW);
        assertThat(TreeLook.of(true, OPEN, true, true)).isEqualTo(TreeLook.STEM);
    }
}
