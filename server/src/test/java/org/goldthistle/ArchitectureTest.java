package org.goldthistle;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import jakarta.persistence.Entity;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "org.goldthistle", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule features_form_no_circle =
            slices().matching("org.goldthistle.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule the_core_knows_nothing_but_java = noClasses()
            .that()
            .resideInAPackage("org.goldthistle.core..")
            .should()
            .dependOnClassesThat()
            .resideOutsideOfPackages("org.goldthistle.core..", "java.lang..", "java.util..");

    @ArchTest
    static final ArchRule a_call_knows_the_core_alone_so_that_a_browser_can_run_it = noClasses()
            .that()
            .resideInAPackage("org.goldthistle.call..")
            .should()
            .dependOnClassesThat()
            .resideOutsideOfPackages(
                    "org.goldthistle.call..",
                    "org.goldthistle.core..",
                    "java.lang..",
                    "java.util..",
                    "java.time..",
                    "jakarta.annotation..");

    @ArchTest
    static final ArchRule readers_of_plain_values_know_no_library = noClasses()
            .that()
            .resideInAPackage("org.goldthistle.formats.plain..")
            .should()
            .dependOnClassesThat()
            .resideOutsideOfPackages(
                    "org.goldthistle.formats..", "org.goldthistle.core..", "java.lang..", "java.util..");

    @ArchTest
    static final ArchRule formats_know_no_spring = noClasses()
            .that()
            .resideInAPackage("org.goldthistle.formats..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..");

    @ArchTest
    static final ArchRule entities_stay_inside_their_feature = ArchRuleDefinition.classes()
            .that()
            .areAnnotatedWith(Entity.class)
            .or()
            .areAssignableTo(Repository.class)
            .or()
            .areAnnotatedWith(RestController.class)
            .should()
            .bePackagePrivate();

    @ArchTest
    static final ArchRule controllers_ask_services = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);
}
