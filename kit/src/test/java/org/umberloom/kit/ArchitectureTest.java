package org.umberloom.kit;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.umberloom.kit", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** What the command line makes is made without a server. */
    @ArchTest
    static final ArchRule kitsKnowNoServer = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.umberloom.app..", "org.springframework..", "java.sql..");

    @ArchTest
    static final ArchRule fontsKnowNothingOfKits = classes()
            .that()
            .resideInAPackage("org.umberloom.kit.font..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("java..", "org.umberloom.core..", "org.umberloom.kit.font..", "tools.jackson..");
}
