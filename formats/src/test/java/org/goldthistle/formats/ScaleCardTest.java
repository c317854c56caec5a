package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.xml.sax.InputSource;

class ScaleCardTest {
    @Test
    void four_cards_have_four_crosses_each_as_far_apart_as_the_arithmetic_takes_them() throws Exception {
        String svg = ScaleCard.svg();

        var page = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(svg)))
                .getDocumentElement();
        assertThat(page.getAttribute("width")).isEqualTo("297mm");
        assertThat(page.getElementsByTagName("circle").getLength()).isEqualTo(16);
        List<double[]> crosses = new ArrayList<>();
        for (MatchResult match : Pattern.compile("translate\\(([\\d.]+) ([\\d.]+)\\)\" fill")
                .matcher(svg)
                .results()
                .limit(4)
                .toList()) {
            crosses.add(new double[] {Double.parseDouble(match.group(1)), Double.parseDouble(match.group(2))});
        }
        assertThat(crosses.get(1)[1] - crosses.get(0)[1]).isEqualTo(60);
        assertThat(crosses.get(2)[0] - crosses.get(0)[0]).isEqualTo(90);
        assertThat(svg).contains("width=\"50.0\"");
    }
}
