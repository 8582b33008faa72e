package org.umberloom.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.stream.Stream;

@AnalyzeClasses(packages = "org.umberloom.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    private static final String ROOT = "org.umberloom.core.";

    /** Each library stands at one edge: the rest of the core sees types of its own. */
    @ArchTest
    static final ArchRule coreNeedsOnlyTheJdkAndLibrariesAtItsEdges = classes()
            .that()
            .resideOutsideOfPackages(ROOT + "json..", ROOT + "sheet..", ROOT + "page..", ROOT + "font..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("java..", "org.umberloom.core..");

    @ArchTest
    static final ArchRule jsonAddsOnlyJson = only("json", "tools.jackson..");

    @ArchTest
    static final ArchRule sheetAddsOnlyTheCssParser = only("sheet", "com.helger..");

    @ArchTest
    static final ArchRule pageAddsOnlyTheHtmlParser = only("page", "org.jsoup..");

    /** Fonts are the edge to two: one reads them, the other packs them. */
    @ArchTest
    static final ArchRule fontAddsOnlyFontLibraries =
            only("font", "org.apache.fontbox..", "org.apache.pdfbox.io..", "com.aayushatharva.brotli4j..");

    private static ArchRule only(String edge, String... libraries) {
        return classes()
                .that()
                .resideInAPackage(ROOT + edge + "..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(Stream.concat(Stream.of("java..", "org.umberloom.core.."), Stream.of(libraries))
                        .toArray(String[]::new));
    }

    /** A delivery brings to hosts what is written there. */
    @ArchTest
    static final ArchRule nothingElseDependsOnFormat = noClasses()
            .that()
            .resideOutsideOfPackages(ROOT + "format..", ROOT + "delivery..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage(ROOT + "format..");

    @ArchTest
    static final ArchRule colorKnowsOnlyItself = noClasses()
            .that()
            .resideInAPackage(ROOT + "color..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    ROOT + "token..",
                    ROOT + "theme..",
                    ROOT + "type..",
                    ROOT + "space..",
                    ROOT + "check..",
                    ROOT + "css..");

    @ArchTest
    static final ArchRule tokenKnowsNothingOfThemes = noClasses()
            .that()
            .resideInAPackage(ROOT + "token..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(ROOT + "theme..", ROOT + "check..", ROOT + "css..");

    /** What somebody asks for is read from outside; nothing within is written in wishes. */
    @ArchTest
    static final ArchRule onlyTheReaderKnowsWishes = noClasses()
            .that()
            .resideOutsideOfPackages(ROOT + "format..", ROOT + "wish..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage(ROOT + "wish..");

    @ArchTest
    static final ArchRule packagesFormNoCycle =
            slices().matching(ROOT + "(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule theCoreReadsNoClock = noClasses()
            .should()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime");
}
