package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.context.properties.source.ConfigurationPropertySource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.core.env.SystemEnvironmentPropertySource;

class SettingsTest {

    @Test
    void every_setting_is_told() throws IOException {
        String told = Files.readString(Path.of("../docs/settings.md"));
        List<String> all = new ArrayList<>();
        addNames("GOLDTHISTLE", Settings.class, all);

        assertThat(all)
                .hasSizeGreaterThan(8)
                .allSatisfy(name -> assertThat(told).as("docs/settings.md").contains("`" + name + "`"));
    }

    @Test
    void what_is_not_set_is_as_told_and_what_is_set_counts() {
        Settings plain = bound(Map.of());
        Settings set = bound(Map.of("GOLDTHISTLE_INVITATIONS_LAST", "2d", "GOLDTHISTLE_LIMITS_PHOTOS_OF_A_CALL", "5"));

        assertThat(plain.invitationsLast()).isEqualTo(Duration.ofDays(7));
        assertThat(plain.hashCost()).isEqualTo(12);
        assertThat(set.invitationsLast()).isEqualTo(Duration.ofDays(2));
        assertThat(set.limits().photosOfACall()).isEqualTo(5);
        assertThatThrownBy(() -> bound(Map.of("GOLDTHISTLE_SESSIONS_LAST", "soon")))
                .hasStackTraceContaining("sessions-last");
    }

    private static Settings bound(Map<String, String> set) {
        var environment = new SystemEnvironmentPropertySource(
                StandardEnvironment.SYSTEM_ENVIRONMENT_PROPERTY_SOURCE_NAME, Map.copyOf(set));
        return new Binder(ConfigurationPropertySource.from(environment)).bindOrCreate("goldthistle", Settings.class);
    }

    /** As environment variables. */
    private static void addNames(String before, Class<?> type, List<String> to) {
        for (RecordComponent one : type.getRecordComponents()) {
            boolean nested = one.getType().isRecord();
            String name =
                    before + "_" + one.getName().replaceAll("([A-Z])", "_$1").toUpperCase(Locale.ROOT);
            if (nested) {
                addNames(name, one.getType(), to);
            } else {
                to.add(name);
            }
        }
    }
}
