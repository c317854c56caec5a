package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaCodeUnit;
import com.tngtech.archunit.core.domain.JavaMember;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.call.CallRefusal;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.ProblemType;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which problems an operation can answer with is told by its code: whatever it can reach names them. */
class ProblemsOfOperationsTest {
    private static final Path KEPT = Path.of("src/main/resources/api-problems.properties");

    private final JavaClasses all = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.goldthistle");

    @Test
    void what_the_document_tells_is_what_the_code_can_answer() throws IOException {
        SortedMap<String, String> found = new TreeMap<>();
        for (JavaClass controller : all) {
            if (controller.isAnnotatedWith(RestController.class)) {
                for (JavaMethod method : controller.getMethods()) {
                    if (AnnotatedElementUtils.hasAnnotation(method.reflect(), RequestMapping.class)) {
                        found.put(method.getName(), String.join(",", problems(method)));
                    }
                }
            }
        }
        String text = found.entrySet().stream()
                .filter(one -> !one.getValue().isEmpty())
                .map(one -> one.getKey() + "=" + one.getValue() + "\n")
                .collect(Collectors.joining());
        if (Boolean.getBoolean("goldthistle.openapi.write")) {
            Files.writeString(KEPT, text);
        }

        assertThat(Files.readString(KEPT))
                .as("operations answer otherwise; run ./goldthistle openapi and commit what it writes")
                .isEqualTo(text);
        assertThat(found).hasSizeGreaterThan(90);
        assertThat(found.get("signCall")).contains("not-signable", "readings-changed", "survey-closed");
        assertThat(found.get("showReach")).doesNotContain("no-such-survey");
    }

    private Set<String> problems(JavaMethod operation) {
        Set<String> codes = new TreeSet<>();
        Set<JavaMember> seen = new HashSet<>();
        Deque<JavaCodeUnit> left = new ArrayDeque<>(Set.of(operation));
        while (!left.isEmpty()) {
            JavaCodeUnit unit = left.pop();
            for (JavaAccess<?> access : unit.getAccessesFromSelf()) {
                JavaClass owner = access.getTargetOwner();
                if (owner.isEquivalentTo(ProblemType.class) || owner.isEquivalentTo(CallRefusal.class)) {
                    codeOf(access.getTarget().getName()).ifPresent(codes::add);
                }
                access.getTarget().resolveMember().stream()
                        .filter(JavaCodeUnit.class::isInstance)
                        .map(JavaCodeUnit.class::cast)
                        .flatMap(ProblemsOfOperationsTest::withOverrides)
                        .filter(seen::add)
                        .forEach(left::push);
            }
        }
        return codes;
    }

    private static Optional<String> codeOf(String constant) {
        return Stream.of(ProblemType.values())
                .filter(one -> one.name().equals(constant))
                .map(Coded::code)
                .findFirst();
    }

    /** A method, and whatever may stand in for it. */
    private static Stream<JavaCodeUnit> withOverrides(JavaCodeUnit called) {
        return Stream.concat(
                Stream.of(called),
                called.getOwner().getAllSubclasses().stream()
                        .flatMap(sub -> sub.getMethods().stream())
                        .filter(method -> method.getName().equals(called.getName())
                                && method.getRawParameterTypes().equals(called.getRawParameterTypes())));
    }
}
