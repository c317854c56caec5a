package org.goldthistle.e2e;

/**
 * A tree of the demo that nobody has read, one for each group.
 *
 * @param group it is read in
 * @param plot code of its plot
 * @param tag of the tree
 */
record DemoTree(String group, String plot, int tag) {
    static DemoTree[] ofEachGroup() {
        return new DemoTree[] {
            new DemoTree("alders", "Kettle Moss 07", 4),
            new DemoTree("birches", "Kettle Moss 07", 23),
            new DemoTree("bird-cherries", "Kettle Moss 07", 11),
            new DemoTree("buckthorns", "Kettle Moss 07", 16),
            new DemoTree("firs", "Kettle Moss 07", 40),
            new DemoTree("hawthorns", "Kettle Moss 07", 31),
            new DemoTree("larches", "Kettle Moss 07", 38),
            new DemoTree("limes", "Long Ride 03", 16),
            new DemoTree("sallows", "Kettle Moss 07", 9)
        };
    }

    BenchOnScreen open(com.microsoft.playwright.Page page) {
        return BenchOnScreen.open(page, "Tarnholt", plot, tag);
    }

    @Override
    public String toString() {
        return group;
    }
}
