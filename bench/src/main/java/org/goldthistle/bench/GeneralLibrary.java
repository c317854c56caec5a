package org.goldthistle.bench;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import weka.classifiers.bayes.NaiveBayes;
import weka.core.Attribute;
import weka.core.DenseInstance;
import weka.core.Instance;
import weka.core.Instances;

/**
 * The naive Bayes of a general-purpose machine-learning library on the same trees: one attribute a replicate, taught
 * from trees drawn from the same profiles.
 */
final class GeneralLibrary {
    private final Instances layout;
    private final NaiveBayes classifier = new NaiveBayes();

    GeneralLibrary(GroupModel model, List<DrawnTrees.Tree> lessons) throws Exception {
        ArrayList<Attribute> attributes = new ArrayList<>();
        for (DiagnosticCharacter character : model.sheet().characters()) {
            for (int n = 0; n < character.replication().replicates(); n++) {
                String name = character.id() + " " + n;
                attributes.add(
                        character.scale() instanceof StateScale scale
                                ? new Attribute(
                                        name,
                                        scale.states().stream().map(State::id).toList())
                                : new Attribute(name));
            }
        }
        attributes.add(new Attribute(
                "taxon", model.sheet().taxa().stream().map(taxon -> taxon.id()).toList()));
        layout = new Instances("trees", attributes, lessons.size());
        layout.setClassIndex(attributes.size() - 1);
        for (DrawnTrees.Tree tree : lessons) {
            layout.add(instance(tree));
        }
        classifier.buildClassifier(layout);
    }

    Instance instance(DrawnTrees.Tree tree) {
        double[] values = new double[layout.numAttributes()];
        int at = 0;
        for (Reading reading : tree.evidence().readings()) {
            if (reading.observed() instanceof StatesObserved seen) {
                for (String state : seen.states()) {
                    values[at] = layout.attribute(at).indexOfValue(state);
                    at++;
                }
            } else {
                for (double value : ((ValuesObserved) reading.observed()).values()) {
                    values[at++] = value;
                }
            }
        }
        values[at] = tree.taxon();
        Instance instance = new DenseInstance(1, values);
        instance.setDataset(layout);
        return instance;
    }

    double[] classify(Instance instance) throws Exception {
        return classifier.distributionForInstance(instance);
    }
}
