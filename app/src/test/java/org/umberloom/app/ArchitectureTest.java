package org.umberloom.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import org.springframework.stereotype.Service;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "org.umberloom.app", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    private static final DescribedPredicate<JavaClass> MAPPERS =
            DescribedPredicate.describe("mappers", type -> type.getSimpleName().endsWith("Mapper"));

    @ArchTest
    static final ArchRule controllersUseNoMapper =
            noClasses().that().areAnnotatedWith(RestController.class).should().dependOnClassesThat(MAPPERS);

    @ArchTest
    static final ArchRule servicesKnowNothingOfHttp = noClasses()
            .that()
            .areAnnotatedWith(Service.class)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..");

    @ArchTest
    static final ArchRule onlyMappersSpeakSql = noClasses()
            .that()
            .haveNameNotMatching(".*\\.(\\w*Mapper|UmberLoom|Commits|Problems|BucketTable|V\\d+__\\w+)(\\$.*)?")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.apache.ibatis..");

    @ArchTest
    static final ArchRule featuresFormNoCycle = SlicesRuleDefinition.slices()
            .matching("org.umberloom.app.(*)..")
            .should()
            .beFreeOfCycles();

    @ArchTest
    static final ArchRule noFeatureReachesIntoAnothersMapper = classes()
            .should(new ArchCondition<>("use only own mappers") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                    type.getDirectDependenciesFromSelf().stream()
                            .map(dependency -> dependency.getTargetClass())
                            .filter(target -> MAPPERS.test(target)
                                    && target.getPackageName().startsWith("org.umberloom"))
                            .filter(target -> !target.getPackageName().equals(type.getPackageName()))
                            .forEach(target ->
                                    events.add(SimpleConditionEvent.violated(type, type + " uses " + target)));
                }
            });
}
